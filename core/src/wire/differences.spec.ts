import { exactly, humbucker, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { seeded } from '../testing/random.js';
import {
  circuitDifferences,
  lugKey,
  PRESETS,
  presetCircuit,
  presetsFor,
  usualWish,
  withElement,
  withoutElement,
  type Circuit,
  type CircuitDifference,
  type Joint,
} from './index.js';

const two = exactly('two pickups, toggle, own volumes and tones', [plainPickup('neck', plainCoil('coil', 8000)), humbucker('bridge', 4000, 4100)]);
const lug = (element: string, name: string) => ({ element, lug: name });
const short = (d: CircuitDifference): string => {
  if ('joint' in d) return `${d.kind} ${[lugKey(d.joint.a), lugKey(d.joint.b)].sort().join(' ')}`;
  if (d.kind === 'field') return `${d.element} ${d.of ?? ''} ${d.key} ${d.from ?? ''} ${d.to ?? ''}`;
  return `${d.kind} ${d.element}`;
};

/** Wires that reach the same by another way: each net as a star around one of its lugs. */
function rewired(c: Circuit, draw: () => number): Circuit {
  const of = new Map<string, Set<string>>();
  const lugs = new Map(c.joints.flatMap(({ a, b }) => [a, b]).map((l) => [lugKey(l), l]));
  for (const { a, b } of c.joints) {
    const all = new Set([lugKey(a), lugKey(b), ...(of.get(lugKey(a)) ?? []), ...(of.get(lugKey(b)) ?? [])]);
    for (const k of all) of.set(k, all);
  }
  const joints = [...new Set(of.values())].flatMap((net): readonly Joint[] => {
    const all = [...net].flatMap((k) => lugs.get(k) ?? []).sort(() => draw() - 0.5);
    const [middle] = all;
    return middle ? all.slice(1).map((b) => (draw() < 0.5 ? { a: middle, b } : { a: b, b: middle })) : [];
  });
  return { ...c, joints };
}

describe('two circuits side by side', () => {
  it('are the same where wires reach the same by another way, in every preset', () => {
    const draw = seeded(901);
    for (const { id, pickups } of PRESETS) {
      const wish = usualWish(Array.from({ length: pickups }, (_, i) => humbucker(`p${i}`, 4000, 4100)));
      if (!presetsFor(wish.pickups).some((p) => p.id === id)) continue;
      const c = presetCircuit(id, wish);
      expect(circuitDifferences(c, rewired(c, draw)).map(short))
        .withContext(id)
        .toEqual([]);
    }
  });

  it('differ by one wire that was moved: parted there, joined here', () => {
    const at = two.joints.findIndex((j) => lugKey(j.b) === 'jack|tip' || lugKey(j.a) === 'jack|tip');
    const moved: Circuit = { ...two, joints: two.joints.map((j, i) => (i === at ? { a: lug('jack', 'tip'), b: lug('selector', 'A') } : j)) };
    const found = circuitDifferences(two, moved).map(short);
    expect(found.filter((t) => t.startsWith('parted'))).toEqual(['parted jack|tip selector|C']);
    expect(found.filter((t) => t.startsWith('joined'))).toEqual(['joined jack|tip selector|A']);
    // the other way about, the other way round
    expect(circuitDifferences(moved, two).map(short)).toEqual(['parted jack|tip selector|A', 'joined jack|tip selector|C']);
  });

  it('tell each wire that is cut, by its ends: seeded cuts in every net of two', () => {
    const draw = seeded(77);
    for (let n = 0; n < 40; n++) {
      const at = Math.floor(draw() * two.joints.length);
      const cut = { ...two, joints: two.joints.filter((_, i) => i !== at) };
      const gone = two.joints[at];
      if (!gone) continue;
      const around = cut.joints.some((j) => [lugKey(j.a), lugKey(j.b)].sort().join() === [lugKey(gone.a), lugKey(gone.b)].sort().join());
      expect(circuitDifferences(two, cut).length)
        .withContext(JSON.stringify(gone))
        .toBe(around ? 0 : 1);
    }
  });

  it('tell that grounds lost one another where the part that they met on is gone', () => {
    const without = withoutElement(two, 'neck volume');
    const found = circuitDifferences(two, without).map(short);
    expect(found[0]).toBe('removed neck volume');
    expect(found.some((t) => t.startsWith('parted') && t.includes('jack|sleeve'))).toBeTrue();
    expect(found.every((t) => !t.startsWith('joined'))).toBeTrue();
  });

  it('differ by a value, a choice, a colour and contacts, each told once; how a value is known makes no difference', () => {
    const elements = two.elements.map((e) => {
      if (e.kind === 'pot' && e.id === 'neck tone') return { ...e, noLoad: true, tracks: e.tracks.map((t) => ({ ...t, ohms: measured(250_000) })) };
      if (e.kind === 'pickup' && e.id === 'neck')
        return { ...e, coils: e.coils.map((c) => ({ ...c, startColour: 'white', ohms: c.ohms && { ...c.ohms, limit: 1 } })) };
      if (e.kind === 'switch') return { ...e, table: { ...e.table, positions: [...e.table.positions].reverse() } };
      return e;
    });
    expect(
      circuitDifferences(two, { ...two, elements })
        .map(short)
        .sort(),
    ).toEqual(['contacts selector', 'neck  startColour  white', 'neck tone  fullUp on its track no load', 'neck tone  ohms 500000 250000'].sort());
  });

  it('tell what was added', () => {
    const { circuit } = withElement(two, 'capacitor', 'bleed');
    expect(circuitDifferences(two, circuit).map(short)).toEqual(['added bleed']);
  });
});
