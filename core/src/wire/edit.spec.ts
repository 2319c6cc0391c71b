import { PART_KINDS } from '../part/kinds/index.js';
import { SWITCH_FORMS, typicalHardware, typicalPickup, type Hardware } from '../part/index.js';
import { atJack, exactly, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { seeded } from '../testing/random.js';
import { ELEMENT_ROWS } from './kinds/index.js';
import {
  beginElement,
  circuitProblems,
  elementIn,
  fieldsOf,
  kindsToAdd,
  likePart,
  presetCircuit,
  presetsFor,
  toTrace,
  usualWish,
  withChanged,
  withElement,
  withoutElement,
  type Circuit,
  type ElementKind,
} from './index.js';

const KINDS = Object.keys(ELEMENT_ROWS) as ElementKind[];
const EMPTY: Circuit = { format: 1, elements: [], joints: [], bare: [] };

function part(kind: string, more: Partial<Hardware>): Hardware {
  const row = PART_KINDS[kind];
  if (!row) throw new RangeError(kind);
  return { ...typicalHardware(row, `a ${kind}`, kind), ...more };
}

describe('a circuit by hand', () => {
  it('has one pickup through one volume at 8.00 kΩ across 500 kΩ: 7.874 kΩ [law: Ohm]', () => {
    let c = EMPTY;
    for (const [kind, does] of [
      ['pickup', 'pickup'],
      ['pot', 'volume'],
      ['jack', 'jack'],
    ] as const)
      c = withElement(c, kind, does).circuit;
    for (const field of fieldsOf(elementIn(c, 'pickup') ?? beginElement('metal', 'other', '')))
      if (field.kind === 'value' && field.key === 'ohms') c = withChanged(c, field.to(measured(8000)));
    const join = (a: readonly [string, string], b: readonly [string, string]) => ({ a: { element: a[0], lug: a[1] }, b: { element: b[0], lug: b[1] } });
    const joints = [
      join(['pickup', 'coil start'], ['volume', '3']),
      join(['volume', '2'], ['jack', 'tip']),
      join(['volume', '1'], ['jack', 'sleeve']),
      join(['pickup', 'coil finish'], ['volume', '1']),
    ];
    expect(atJack({ ...c, joints }).value).toBeCloseTo((8000 * 500_000) / 508_000, 6);
  });

  it('can have every kind in everything that it can be, each called otherwise', () => {
    for (const kind of KINDS) {
      const twice = ELEMENT_ROWS[kind].roles.reduce(
        (c, does) => withElement(kind === 'jack' ? c : withElement(c, kind, does).circuit, kind, does).circuit,
        EMPTY,
      );
      expect(circuitProblems(twice)).withContext(kind).toEqual([]);
      expect(new Set(twice.elements.map((e) => e.id)).size).toBe(twice.elements.length);
    }
  });

  it('has one jack', () => {
    expect(kindsToAdd(EMPTY)).toContain('jack');
    expect(kindsToAdd(withElement(EMPTY, 'jack', 'jack').circuit)).not.toContain('jack');
  });

  it('keeps each field as it is stated, and nothing else changes', () => {
    for (const kind of KINDS)
      for (const does of ELEMENT_ROWS[kind].roles) {
        const e = beginElement(kind, does, 'it');
        fieldsOf(e).forEach((field, i) => {
          const again = (to: typeof e) => fieldsOf(to).find((f) => f.key === field.key && f.of === field.of);
          if (field.kind === 'choice') for (const o of field.options) expect(again(field.to(o))).toEqual(jasmine.objectContaining({ now: o }));
          if (field.kind === 'text') expect(again(field.to('red'))).toEqual(jasmine.objectContaining({ now: 'red' }));
          if (field.kind !== 'value' || field.unit === 'count') return;
          const told = field.to(measured(1234));
          expect(again(told)).toEqual(jasmine.objectContaining({ known: measured(1234) }));
          const others = fieldsOf(told).filter((_, j) => j !== i);
          expect(others.map((f) => (f.kind === 'value' ? f.known : f.now))).toEqual(
            fieldsOf(e).flatMap((f, j) => (j === i ? [] : [f.kind === 'value' ? f.known : f.now])),
          );
        });
      }
  });

  it('loses what hung on an element with it, and that is to be traced again: presets with seeded removals', () => {
    const draw = seeded(2712);
    const wish = usualWish([plainPickup('neck', plainCoil('coil', 6000)), plainPickup('bridge', plainCoil('coil', 7000))]);
    for (const { id } of presetsFor(wish.pickups)) {
      const whole = presetCircuit(id, wish);
      const gone = whole.elements[Math.floor(draw() * whole.elements.length)]?.id ?? '';
      const rest = withoutElement(whole, gone);
      expect(circuitProblems(rest).filter((p) => p.kind !== 'jacks'))
        .withContext(`${id} without ${gone}`)
        .toEqual([]);
      const partners = whole.joints.flatMap(({ a, b }) =>
        a.element === gone && b.element !== gone ? [b] : b.element === gone && a.element !== gone ? [a] : [],
      );
      const still = partners.filter((p) => !rest.joints.some(({ a, b }) => [a, b].some((l) => l.element === p.element && l.lug === p.lug)));
      for (const l of still) expect(toTrace(rest)).toContain(l);
    }
  });

  it('loses the joint of a lug that its element has no more', () => {
    const active = presetCircuit('one pickup, preamp, one volume', usualWish([plainPickup('neck', plainCoil('coil', 6000))]));
    const before = active.joints.filter((j) => [j.a, j.b].some((l) => l.element === 'jack' && l.lug === 'ring')).length;
    const mono = withChanged(active, { ...beginElement('jack', 'jack', 'jack') });
    expect(before).toBeGreaterThan(0);
    expect(circuitProblems(mono)).toEqual([]);
    expect(mono.joints.length).toBe(active.joints.length - before);
  });
});

describe('an element as a part of the shelf says', () => {
  it('is of a kind of part for everything that is soldered', () => {
    const can = new Set(KINDS.flatMap((k) => ELEMENT_ROWS[k].parts));
    const soldered = Object.values(PART_KINDS)
      .filter((r) => r.wired)
      .map((r) => r.kind);
    expect(soldered.filter((k) => !can.has(k))).toEqual([]);
  });

  it('has a pot of 250 kΩ, off by a fifth, left-handed and free at full [trade: docs/trade/wire.md, Pots]', () => {
    const traits = { taper: 'reverse audio', direction: 'anticlockwise', fullUp: 'no load' };
    const pot = likePart(beginElement('pot', 'tone', 'tone'), part('pot', { kiloohms: 250, traits }));
    expect(pot).toEqual(jasmine.objectContaining({ part: 'a pot', reverse: true, noLoad: true, pull: null }));
    if (pot.kind !== 'pot') throw new Error('no pot');
    expect(pot.tracks).toEqual([{ ohms: { value: 250_000, limit: 50_000, basis: { kind: 'sheet', part: 'a pot' } }, taper: 'reverse audio 10' }]);
  });

  it('is off by its own tolerance where its sheet has one', () => {
    const pot = likePart(beginElement('pot', 'volume', 'v'), part('pot', { kiloohms: 500, electric: { tolerance: 10 } }));
    expect(pot.kind === 'pot' && pot.tracks[0]?.ohms.limit).toBe(50_000);
    const film = likePart(beginElement('capacitor', 'tone capacitor', 'c'), part('capacitor', { electric: { farad: 22e-9, tolerance: 5 } }));
    expect(film.kind === 'capacitor' && film.farad.limit).toBeCloseTo(1.1e-9, 15);
  });

  it('has a blend of two tracks, and a pull with the contacts that were metered', () => {
    const blend = likePart(beginElement('pot', 'volume', 'v'), part('pot', { kiloohms: 500, traits: { tracks: 'blend' } }));
    expect(blend.kind === 'pot' && blend.tracks.map((t) => t.taper)).toEqual(['M', 'N']);
    const contacts = SWITCH_FORMS['mini toggle, on-off-on'];
    const pull = likePart(beginElement('pot', 'volume', 'v'), part('push-pull pot', { contacts }));
    expect(pull.kind === 'pot' && pull.pull).toEqual(contacts);
  });

  it('has the coils of its part, with the loss that its sheet gives, known or not', () => {
    const coil = { name: 'only', ohms: 7000, henry: 3, picofarad: 100, wireGauge: null, winding: null, magnet: null };
    const losses = [400_000, undefined].map((loss) => {
      const shelf = { ...typicalPickup('single-coil', 'p', 'p'), coils: [loss === undefined ? coil : { ...coil, loss }] };
      const e = likePart(beginElement('pickup', 'pickup', 'neck'), shelf);
      return e.kind === 'pickup' ? (e.coils[0]?.loss?.value ?? null) : 'no pickup';
    });
    expect(losses).toEqual([400_000, null]);
  });

  it('leaves what the part does not say, and a part that it cannot be', () => {
    const cap = beginElement('capacitor', 'bleed', 'c');
    expect(likePart(cap, part('capacitor', {}))).toEqual({ ...cap, part: 'a capacitor' });
    expect(likePart(cap, part('jack', {}))).toBe(cap);
    expect(likePart(cap, typicalPickup('humbucker', 'p', 'p'))).toBe(cap);
  });

  it('reads the same at the jack as the same values typed: seeded pots and capacitors', () => {
    const draw = seeded(88);
    for (let n = 0; n < 20; n++) {
      const kiloohms = Math.round(20 + 980 * draw());
      const circuit = exactly('one pickup, volume and tone', [plainPickup('neck', plainCoil('coil', 8000))]);
      const volume = circuit.elements.find((e) => e.does === 'volume');
      if (!volume) throw new Error('no volume');
      const like = withChanged(circuit, likePart(volume, part('pot', { kiloohms })));
      expect(atJack(like).value).toBeCloseTo((8000 * kiloohms * 1000) / (8000 + kiloohms * 1000), 6);
    }
  });
});
