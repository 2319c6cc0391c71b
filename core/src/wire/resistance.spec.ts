import { AT_20, atJack, exactly, humbucker, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { OPEN } from '../quantity/index.js';
import type { Circuit, PickupElement } from './index.js';

const neck = (ohms = 8000): PickupElement => plainPickup('neck', plainCoil('coil', ohms));
const bridge = (ohms = 8300): PickupElement => plainPickup('bridge', plainCoil('coil', ohms));
const open = (id: string): PickupElement => plainPickup(id, plainCoil('coil', 8000, { broken: true }));

const MASTER = 'two pickups, toggle, one volume and tone';
const OWN = 'two pickups, toggle, own volumes and tones';

/** Neck, both, bridge, kΩ to three places. */
function positions(circuit: Circuit, more: Parameters<typeof atJack>[1] = {}): readonly number[] {
  return [0, 1, 2].map((n) => Math.round(atJack(circuit, { ...more, positions: { selector: n } }).value) / 1000);
}

/** 8.00 and 8.30 kΩ, pots of 500 kΩ exactly, full up: worked by hand with R₁R₂/(R₁ + R₂) [law]. */
describe('the meter at the jack, as worked out by hand', () => {
  const two = [neck(), bridge()];

  it('sees the pot across the pickup: 7.874, not 8', () => {
    expect(positions(exactly(MASTER, two))).toEqual([7.874, 4.041, 8.164]);
  });

  it('sees both pots across both, where each has its own', () => {
    expect(positions(exactly(OWN, two))).toEqual([7.874, 4.008, 8.164]);
  });

  it('reads nothing where a volume of the usual kind is at 0, alone or with the other', () => {
    expect(positions(exactly(OWN, two), { knobs: { 'neck volume': 0 } })).toEqual([0, 0, 8.164]);
  });

  it('reads the whole track where an independent one is at 0, and loses nothing of the other', () => {
    expect(positions(exactly(OWN, two, { independent: true }), { knobs: { 'neck volume': 0 } })).toEqual([500, 8.033, 8.164]);
  });

  const split = [humbucker('neck', 4000, 4000), humbucker('bridge', 4150, 4150)];

  it('reads half of a pickup that is split, own volumes', () => {
    const c = exactly('two pickups, toggle, own volumes and tones, each split on its volume', split);
    expect(positions(c, { pulled: { 'neck volume': true, 'bridge volume': true } })).toEqual([3.968, 2.02, 4.116]);
    expect(positions(c)).toEqual([7.874, 4.008, 8.164]);
  });

  it('reads half of a pickup that is split, one volume', () => {
    const c = exactly('two pickups, toggle, one volume and tone, both split on the volume', split);
    expect(positions(c, { pulled: { volume: true } })).toEqual([3.968, 2.029, 4.116]);
  });

  it('reads the pot where a coil is open, not OL', () => {
    expect(positions(exactly(MASTER, [open('neck'), bridge()]))).toEqual([500, 8.164, 8.164]);
    expect(positions(exactly(OWN, [open('neck'), bridge()]))).toEqual([500, 8.033, 8.164]);
  });

  it('reads the pickup alone where its volume has lost its ground lug', () => {
    const c = exactly(OWN, two);
    const lifted = { ...c, joints: c.joints.filter((j) => !(j.a.element === 'bridge volume' && j.a.lug === '1')) };
    expect(lifted.joints.length).toBe(c.joints.length - 1);
    expect(positions(lifted)).toEqual([7.874, 4.041, 8.3]);
  });

  it('reads 15.785 of both in series behind 500', () => {
    const c = exactly('two pickups, lever of four: neck, both, bridge, in series', two);
    expect([0, 1, 2, 3].map((n) => Math.round(atJack(c, { positions: { selector: n } }).value) / 1000)).toEqual([7.874, 4.041, 8.164, 15.785]);
  });

  it('reads 10 Ω of contact in the common as 10, in each leaf as 5', () => {
    const c = exactly(MASTER, two);
    const through = (from: string, to: string, id: string): Circuit => ({
      ...c,
      elements: [...c.elements, { kind: 'resistor', id, name: null, does: 'other', place: null, part: null, ohms: measured(10) }],
      joints: c.joints.flatMap((j) =>
        j.a.element === from && j.b.element === 'selector' && j.b.lug === to
          ? [
              { a: j.a, b: { element: id, lug: '1' } },
              { a: { element: id, lug: '2' }, b: j.b },
            ]
          : [j],
      ),
    });
    const both = { positions: { selector: 1 } };
    const clean = atJack(c, both).value;
    // the common leaves the selector as the first lug of its joint
    const common: Circuit = {
      ...c,
      elements: [...c.elements, { kind: 'resistor', id: 'contact', name: null, does: 'other', place: null, part: null, ohms: measured(10) }],
      joints: c.joints.flatMap((j) =>
        j.a.element === 'selector' && j.a.lug === 'C' && j.b.element === 'volume'
          ? [
              { a: j.a, b: { element: 'contact', lug: '1' } },
              { a: { element: 'contact', lug: '2' }, b: j.b },
            ]
          : [j],
      ),
    };
    expect(atJack(common, both).value - clean).toBeCloseTo(10, 0);
    const leaves = through('bridge', 'B', 'two');
    const one: Circuit = through('neck', 'A', 'one');
    const eachLeaf: Circuit = {
      ...one,
      elements: [...one.elements, ...leaves.elements.slice(-1)],
      joints: one.joints.flatMap((j) => (j.b.lug === 'B' ? leaves.joints.filter((x) => x.a.element === 'two' || x.b.element === 'two') : [j])),
    };
    expect(atJack(eachLeaf, both).value - clean).toBeCloseTo(5, 0);
  });
});

describe('what a reading rests on', () => {
  it('rises 0.393 % a kelvin: 8.00 kΩ at 20 °C is 7.686 at 10 °C [IEC 60028, value from memory]', () => {
    const c = exactly('one pickup straight to the jack', [neck()]);
    expect(atJack(c, {}, { celsius: 10, limit: 0 }).value).toBeCloseTo(8000 * 0.9607, 9);
    expect(atJack(c).value).toBe(8000);
  });

  it('is bounded by a pot that is a fifth off: 8000 behind 400 k and 600 k', () => {
    const c = exactly('one pickup, volume', [neck()], { volume: measured(500_000, 100_000) });
    const p = atJack(c);
    expect(p.least).toBeCloseTo((8000 * 400_000) / 408_000, 6);
    expect(p.most).toBeCloseTo((8000 * 600_000) / 608_000, 6);
    expect(p.doubts).toEqual([{ element: 'volume', of: 'value', limit: jasmine.any(Number) as unknown as number }]);
  });

  it('finds the most inside of a wiper’s range, not at its ends', () => {
    // independent wiring: the pickup bridges from the wiper to ground, the jack sees (1 − f)R + fR ∥ 8000; normal wiring: f R ∥ ((1 − f) R + 8000), which is greatest near the middle
    const c = exactly('one pickup, volume', [neck()], { taper: 'linear' });
    const p = atJack(c, { knobs: { volume: 0.5 } });
    const at = (f: number): number => 1 / (1 / (f * 500_000) + 1 / ((1 - f) * 500_000 + 8000));
    expect(p.value).toBeCloseTo(at(0.5), 6);
    // d/df of f R (R(1−f) + r): f = (R + r)/2R = 0.508
    expect(p.most).toBeCloseTo(at(0.508), 3);
    expect(p.least).toBeCloseTo(Math.min(at(0.35), at(0.65)), 6);
  });

  it('is exact at a stop', () => {
    const c = exactly('one pickup, volume', [neck()]);
    const up = atJack(c);
    expect([up.least, up.most]).toEqual([up.value, up.value]);
    const down = atJack(c, { knobs: { volume: 0 } });
    expect([down.value, down.least, down.most]).toEqual([0, 0, 0]);
  });

  it('is open where nothing joins the two lugs', () => {
    const c = exactly('one pickup straight to the jack', [open('neck')]);
    expect(atJack(c).value).toBe(OPEN);
    expect(atJack(c).most).toBe(OPEN);
  });

  it('names what nobody knows, and only where it matters', () => {
    const c = exactly(MASTER, [plainPickup('neck', plainCoil('coil', 8000, { ohms: null })), bridge()]);
    expect([0, 1, 2].map((n) => atJack(c, { positions: { selector: n } }).unknown)).toEqual([['neck'], ['neck'], []]);
  });

  it('names what is only typical', () => {
    const usual = { ...measured(500_000, 100_000), basis: { kind: 'default' } as const };
    const c = exactly(MASTER, [neck(), bridge()], { volume: usual });
    expect(atJack(c).typical).toEqual(['volume']);
  });

  it('tells nothing through a preamp', () => {
    const c = exactly('one pickup, preamp, one volume', [neck()]);
    expect(atJack(c).throughPreamp).toBeTrue();
    expect(atJack(exactly(MASTER, [neck(), bridge()]), {}, AT_20).throughPreamp).toBeFalse();
  });
});
