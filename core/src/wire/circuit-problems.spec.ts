import { humbucker, plainPickup, exactly } from '../testing/circuit.js';
import {
  circuitProblems,
  improbableValue,
  everySetting,
  looseEnds,
  netlistOf,
  presetCircuit,
  PRESETS,
  restingSetting,
  settingKey,
  toTrace,
  usualWish,
  wired,
  type Circuit,
} from './index.js';

const two = [humbucker('neck', 4000, 4100), humbucker('bridge', 4200, 4300)];
const circuit = exactly('two pickups, toggle, one volume and tone, both split on the volume', two);
const kinds = (c: Circuit): readonly string[] => circuitProblems(c).map((p) => p.kind);

describe('a circuit as it can be', () => {
  it('is every preset, with nothing left to trace', () => {
    for (const row of PRESETS) {
      const c = presetCircuit(row.id, usualWish(['neck', 'middle', 'bridge'].slice(0, row.pickups).map((p) => humbucker(p, 4000, 4100))));
      expect(circuitProblems(c)).withContext(row.id).toEqual([]);
      expect(toTrace(c)).withContext(row.id).toEqual([]);
    }
  });

  it('has lugs that are there, each joined to another', () => {
    expect(kinds({ ...circuit, elements: circuit.elements.slice(1) })).toContain('no such lug');
    const tip = { element: 'jack', lug: 'tip' };
    expect(kinds({ ...circuit, joints: [...circuit.joints, { a: tip, b: tip }] })).toEqual(['joined to itself']);
    expect(kinds({ ...circuit, bare: [...circuit.bare, tip] })).toEqual(['bare and joined']);
    expect(() => wired({ ...circuit, joints: [{ a: tip, b: tip }] })).toThrowError(RangeError);
    expect(() => wired({ ...circuit, joints: [{ a: tip, b: { element: 'jack', lug: 'ring' } }] })).toThrowError(RangeError);
  });

  it('has one jack, of that name', () => {
    const jack = circuit.elements.find((e) => e.kind === 'jack');
    if (!jack) throw new Error('a jack');
    expect(kinds({ ...circuit, elements: [...circuit.elements, { ...jack, id: 'second' }] })).toEqual(['jacks']);
    expect(kinds({ format: 1, elements: [plainPickup('neck')], joints: [], bare: [] })).toEqual(['no coils']);
  });

  it('asks for every lug that nobody has looked at', () => {
    const traced: Circuit = { ...circuit, joints: [], bare: [] };
    const all = toTrace(traced).length;
    expect(all).toBeGreaterThan(30);
    expect(toTrace({ ...traced, bare: [{ element: 'jack', lug: 'tip' }] }).length).toBe(all - 1);
    expect(toTrace({ ...traced, joints: [{ a: { element: 'jack', lug: 'tip' }, b: { element: 'volume', lug: '2' } }] }).length).toBe(all - 2);
  });
});

describe('what hangs together wrongly', () => {
  const at = (c: Circuit, pulled = false) => looseEnds(c, netlistOf(wired(c), { ...restingSetting(c), pulled: { volume: pulled } }));

  it('is nothing of a sound circuit but what the switch leaves out', () => {
    expect(at(circuit)).toEqual([]);
  });

  it('names the coil that a split shorts, by its terminals', () => {
    expect(at(circuit, true).map((e) => (e.kind === 'shorted' ? `${e.a.element} ${e.a.lug}/${e.b.lug}` : e.kind))).toEqual([
      'neck south start/south finish',
      'bridge south start/south finish',
    ]);
  });

  it('names a coil whose leads go nowhere, and a jack that is silent', () => {
    const loose: Circuit = { ...circuit, joints: circuit.joints.filter((j) => j.a.element !== 'neck' && j.b.element !== 'neck') };
    expect(at(loose).map((e) => e.kind)).toEqual(['floating', 'floating']);
    const shorted: Circuit = { ...circuit, joints: [...circuit.joints, { a: { element: 'jack', lug: 'tip' }, b: { element: 'jack', lug: 'sleeve' } }] };
    expect(at(shorted).map((e) => e.kind)).toEqual(['silent']);
  });
});

describe('an end that hangs', () => {
  const hanging = (c: Circuit) =>
    everySetting(c).flatMap((s) =>
      looseEnds(c, netlistOf(wired(c), s)).flatMap((e) => (e.kind === 'hanging' ? [`${settingKey(c, s)}: ${e.lug.element} ${e.lug.lug}`] : [])),
    );

  it('is an antenna where its coil hangs on the hot', () => {
    // the neck's ground wire forgotten: it hangs wherever the toggle brings its hot
    const forgotten: Circuit = { ...circuit, joints: circuit.joints.filter((j) => !(j.a.element === 'neck' && j.a.lug === 'south start')) };
    const parted = forgotten.joints.length < circuit.joints.length;
    expect(parted).toBeTrue();
    expect(hanging(forgotten).map((h) => h.replace(/,.*:/, ':'))).toEqual(['selector 1: neck south start', 'selector 2: neck south start']);
  });

  it('is in no circuit that is offered', () => {
    for (const row of PRESETS) {
      const pickups = ['neck', 'middle', 'bridge'].slice(0, row.pickups).map((id) => humbucker(id, 4000, 4100));
      expect(hanging(presetCircuit(row.id, usualWish(pickups))))
        .withContext(row.id)
        .toEqual([]);
    }
  });
});

describe('a value that is not likely', () => {
  it('is challenged with what was probably meant', () => {
    expect(improbableValue('coil resistance', 7.4)?.meant).toBe(7400);
    expect(improbableValue('track', 500)?.meant).toBe(500_000);
    expect(improbableValue('track', 1000)?.meant).toBe(1e6);
    expect(improbableValue('capacitor', 22e-6)?.meant).toBe(22e-9);
    expect(improbableValue('coil resistance', 7400)).toBeNull();
    expect(improbableValue('cell', 900)?.meant).toBeNull();
  });
});
