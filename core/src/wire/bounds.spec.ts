import { AT_20, exactly, humbucker, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { seeded } from '../testing/random.js';
import {
  copperFactor,
  markedTrack,
  netlistOf,
  presetCircuit,
  PRESETS,
  readingBetween,
  resistanceBetween,
  trackShare,
  TAPERS,
  usualWish,
  wired,
  everySetting,
  type Circuit,
  type Element,
  type Setting,
} from './index.js';

const TIP = { element: 'jack', lug: 'tip' };
const SLEEVE = { element: 'jack', lug: 'sleeve' };
const ROOM = { celsius: 17, limit: 4 };
const KNOB = 0.15;

const random = seeded(8_675);
const within = (value: number, limit: number): number => value + limit * (2 * random() - 1);

/** The circuit as it may be: every value somewhere within its limits, copper as warm as the air may be. */
function drawn({ elements, ...rest }: Circuit, celsius: number): Circuit {
  const one = (e: Element): Element => {
    if (e.kind === 'pickup')
      return { ...e, coils: e.coils.map((c) => ({ ...c, ohms: c.ohms && measured(within(c.ohms.value, c.ohms.limit) * copperFactor(celsius)) })) };
    if (e.kind === 'pot') return { ...e, tracks: e.tracks.map((t) => ({ ...t, ohms: measured(within(t.ohms.value, t.ohms.limit)) })) };
    if (e.kind === 'resistor') return { ...e, ohms: measured(within(e.ohms.value, e.ohms.limit)) };
    return e;
  };
  return { ...rest, elements: elements.map(one) };
}

/** Knobs a little off where they are said to stand, but for those at a stop. */
function turned(s: Setting): Setting {
  const off = ([id, at]: readonly [string, number]): readonly [string, number] => [
    id,
    at === 0 || at === 1 ? at : Math.min(1, Math.max(0, at + KNOB * (2 * random() - 1))),
  ];
  return { ...s, knobs: Object.fromEntries(Object.entries(s.knobs).map(off)) };
}

describe('the limits of a reading', () => {
  it('hold 10,000 draws of every value, temperature and knob', () => {
    let closest = Infinity;
    const DRAWS = 10_000;
    const settings = PRESETS.flatMap((row) => {
      const pickups = ['neck', 'middle', 'bridge'].slice(0, row.pickups).map((id) => {
        const p = humbucker(id, 3500 + 1000 * random(), 4000);
        return { ...p, coils: p.coils.map((c) => ({ ...c, ohms: measured(c.ohms?.value ?? 0, 200) })) };
      });
      const circuit = presetCircuit(row.id, { ...usualWish(pickups), independent: random() < 0.5, noLoadTone: random() < 0.5 });
      return everySetting(circuit).map((s) => ({
        circuit,
        setting: {
          ...s,
          knobs: Object.fromEntries(circuit.elements.flatMap((e) => (e.kind === 'pot' ? [[e.id, [0, 0.1, 0.5, 0.8, 1][Math.floor(5 * random())] ?? 1]] : []))),
        },
      }));
    });
    for (let i = 0; i < DRAWS;) {
      const { circuit, setting } = settings[Math.floor(settings.length * random())] ?? { circuit: null, setting: null };
      if (circuit === null) throw new Error('no settings');
      const p = resistanceBetween(netlistOf(wired(circuit), setting), TIP, SLEEVE, ROOM);
      for (let k = 0; k < 50; k++, i++) {
        const draw = netlistOf(wired(drawn(circuit, within(ROOM.celsius, ROOM.limit))), turned(setting));
        const value = readingBetween(draw, TIP, SLEEVE, AT_20);
        expect(value >= p.least * (1 - 1e-9) && value <= p.most * (1 + 1e-9))
          .withContext(`${p.least} ≤ ${value} ≤ ${p.most}`)
          .toBeTrue();
        if (p.most > p.least) closest = Math.min(closest, (value - p.least) / (p.most - p.least), (p.most - value) / (p.most - p.least));
      }
    }
    // limits that are far from anything that can be would hold as well
    expect(closest).toBeLessThan(0.02);
  });

  it('are those of a search through all places of two wipers', () => {
    const c = exactly(
      'two pickups, toggle, own volumes, one tone',
      [plainPickup('neck', plainCoil('coil', 8000)), plainPickup('bridge', plainCoil('coil', 8300))],
      { taper: 'linear', independent: true },
    );
    const at = (a: number, b: number): number =>
      readingBetween(
        netlistOf(wired(c), { positions: { selector: 1 }, pulled: {}, knobs: { 'neck volume': a, 'bridge volume': b }, plugged: true }),
        TIP,
        SLEEVE,
        AT_20,
      );
    const p = resistanceBetween(
      netlistOf(wired(c), { positions: { selector: 1 }, pulled: {}, knobs: { 'neck volume': 0.6, 'bridge volume': 0.4 }, plugged: true }),
      TIP,
      SLEEVE,
      AT_20,
    );
    const steps = Array.from({ length: 41 }, (_, i) => i / 40);
    const all = steps.flatMap((x) => steps.map((y) => at(0.45 + 0.3 * x, 0.25 + 0.3 * y)));
    expect(p.most).toBeGreaterThanOrEqual(Math.max(...all) - 1e-6);
    expect(p.most).toBeLessThan(Math.max(...all) * 1.001);
    expect(p.least).toBeCloseTo(Math.min(...all), 6);
  });

  it('open up where a wiper may have left its track', () => {
    const c = exactly('one pickup, volume and tone', [plainPickup('neck', plainCoil('coil', 8000))], { noLoadTone: true });
    const leaky: Circuit = { ...c, elements: c.elements.map((e) => (e.kind === 'capacitor' ? { ...e, leak: measured(10_000) } : e)) };
    const read = (tone: number) =>
      resistanceBetween(netlistOf(wired(leaky), { positions: {}, pulled: {}, knobs: { tone }, plugged: true }), TIP, SLEEVE, AT_20);
    const free = (8000 * 500_000) / 508_000;
    expect(read(1).value).toBeCloseTo(free, 6);
    expect(read(0.95).most).toBeCloseTo(free, 6);
    expect(read(0.95).least).toBeLessThan(free);
    expect(read(0.5).most).toBeLessThan(free);
  });
});

describe('a track', () => {
  it('goes from end to end, never back, whatever its taper', () => {
    for (const taper of TAPERS) {
      const shares = Array.from({ length: 101 }, (_, i) => trackShare(taper, i / 100));
      expect([shares[0], shares[100]]).toEqual([0, 1]);
      expect(shares.every((s, i) => i === 0 || s >= (shares[i - 1] ?? 0)))
        .withContext(taper)
        .toBeTrue();
    }
  });

  it('of an audio taper has a tenth at half turn, reversed nine tenths', () => {
    expect([trackShare('audio 10', 0.5), trackShare('audio 15', 0.5), trackShare('reverse audio 10', 0.5), trackShare('linear', 0.5)]).toEqual([
      0.1, 0.15, 0.9, 0.5,
    ]);
  });

  it('of a blend is full from the middle on, or up to it', () => {
    expect([0.25, 0.5, 0.75].map((t) => [trackShare('M', t), trackShare('N', t)])).toEqual([
      [0.5, 0],
      [1, 0],
      [1, 0.5],
    ]);
  });

  it('refuses a turn beyond its stops', () => {
    expect(() => trackShare('linear', 1.01)).toThrowError(RangeError);
    expect(() => trackShare('linear', NaN)).toThrowError(RangeError);
  });

  it('marked 500 k is so within a fifth [common practice, no source]', () => {
    expect(markedTrack(500_000).limit).toBe(100_000);
  });
});

describe('a left-handed circuit', () => {
  it('reads at every knob what a right-handed one reads', () => {
    const two = [humbucker('neck', 4000, 4100), humbucker('bridge', 4200, 4300)];
    for (const row of PRESETS.filter((p) => p.pickups === 2)) {
      const [right, left] = [false, true].map((leftHanded) => presetCircuit(row.id, { ...usualWish(two), leftHanded }));
      if (!right || !left) throw new Error('two circuits');
      const blend = right.elements.some((e) => e.does === 'blend');
      for (const knob of [0, 0.3, 0.7, 1]) {
        for (const s of everySetting(right)) {
          const knobs = Object.fromEntries(right.elements.flatMap((e) => (e.kind === 'pot' ? [[e.id, blend && e.does === 'blend' ? 0.5 : knob]] : [])));
          const [a, b] = [right, left].map((c) => readingBetween(netlistOf(wired(c), { ...s, knobs }), TIP, SLEEVE, ROOM));
          expect(b ?? 0)
            .withContext(row.id)
            .toBeCloseTo(a ?? 1, 6);
        }
      }
    }
  });
});
