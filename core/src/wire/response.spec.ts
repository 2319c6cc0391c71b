import { exactly, humbucker, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { seeded } from '../testing/random.js';
import {
  everySetting,
  heardFrequencies,
  heardOf,
  levelsOf,
  netlistOf,
  networkOf,
  presetCircuit,
  PRESETS,
  resonanceOf,
  restingSetting,
  settingKey,
  SILENT,
  USUAL_LOAD,
  usualWish,
  wired,
  type Circuit,
  type Load,
  type Network,
  type Setting,
  type WiredCoil,
} from './index.js';
import { solveDeck } from './deck/solve.js';
import { responseDeck } from './deck/write.js';
import { asStruck, voltageAt } from './response.js';

const MASTER = 'two pickups, toggle, one volume and tone';

function network(circuit: Circuit, of: Partial<Setting> = {}, load: Load = USUAL_LOAD): Network {
  return networkOf(netlistOf(wired(circuit), { ...restingSetting(circuit), ...of }), load);
}

/** One pickup with a volume and a tone of 500 kΩ, full up. */
const voiced = (coil: Partial<WiredCoil>): Circuit => exactly('one pickup, volume and tone', [plainPickup('neck', plainCoil('coil', 5000, coil))]);

describe('the response of a circuit', () => {
  it('falls by 3 dB where an ideal source meets RC: 1/(2πRC) [law]', () => {
    // a coil of next to no inductance of 10 kΩ into 1 nF: 15.9 kHz
    const c = exactly('one pickup straight to the jack', [plainPickup('neck', plainCoil('coil', 10_000, { henry: measured(1e-9), farad: null }))]);
    const r = resonanceOf(network(c, {}, { farad: 1e-9, ohms: 1e12 }));
    expect(r?.hertz).toBeNull();
    // the level that it falls from is read at 100 Hz, where it lacks 2e-5 of itself
    expect((r?.fallen ?? 0) * 2 * Math.PI * 10_000 * 1e-9).toBeCloseTo(1, 4);
  });

  // 4.4 H and 5 kΩ with 500 pF, two pots of 500 kΩ full up, 1 MΩ: worked out beforehand, the source in series with R and the lossy L [law]
  for (const [loss, height] of [
    [null, 6.0],
    [600_000, 4.1],
    [250_000, 2.4],
  ] as const) {
    it(`peaks ${height} dB with a loss of ${loss ?? 'nothing'}`, () => {
      const c = voiced({ henry: measured(4.4), farad: null, loss: loss === null ? null : measured(loss) });
      const r = resonanceOf(network(c, {}, { farad: 500e-12, ohms: 1e6 }));
      expect(r?.height).toBeCloseTo(height, 1);
      expect(r?.upperBound).toBe(loss === null);
    });
  }

  // bare, and with 500 pF of cable, kHz: 1/(2π√(LC)) [law]
  for (const [henry, own, bare, cabled] of [
    [2.5, 110e-12, 9.6, 4.1],
    [4.4, 150e-12, 6.2, 3.0],
    [8, 200e-12, 4.0, 2.1],
  ] as const) {
    it(`of ${henry} H peaks at ${bare} kHz bare and ${cabled} with a cable`, () => {
      const c = exactly('one pickup straight to the jack', [plainPickup('neck', plainCoil('coil', 6000, { henry: measured(henry), farad: measured(own) }))]);
      expect((resonanceOf(network(c, {}, { farad: 0, ohms: 1e9 }))?.hertz ?? 0) / 1000).toBeCloseTo(bare, 1);
      expect((resonanceOf(network(c, {}, { farad: 500e-12, ohms: 1e9 }))?.hertz ?? 0) / 1000).toBeCloseTo(cabled, 1);
    });
  }

  it('is twice as strong in series, open circuit: 6 dB, and down by √2 in frequency', () => {
    const two = [plainPickup('neck', plainCoil('coil', 8000)), plainPickup('bridge', plainCoil('coil', 8000))];
    const c = exactly('two pickups, lever of four: neck, both, bridge, in series', two, { volume: measured(1e9), tone: measured(1e9) });
    const open: Load = { farad: 500e-12, ohms: 1e9 };
    const [one, both, series] = [0, 1, 3].map((n) => resonanceOf(network(c, { positions: { selector: n } }, open)));
    expect((series?.level ?? 0) - (one?.level ?? 0)).toBeCloseTo(6.02, 1);
    expect((both?.level ?? 0) - (one?.level ?? 0)).toBeCloseTo(0, 1);
    // each coil has 100 pF of its own: √(600 · 2 / 700) and √(2 · 550 / 600)
    expect((both?.hertz ?? 0) / (one?.hertz ?? 1)).toBeCloseTo(1.309, 1);
    expect((one?.hertz ?? 0) / (series?.hertz ?? 1)).toBeCloseTo(1.354, 1);
  });

  it('is silent with the volume at 0, and no number goes wrong', () => {
    const c = voiced({});
    const levels = levelsOf(network(c, { knobs: { volume: 0 } }), heardFrequencies(31));
    expect([...levels].every((l) => l === SILENT)).toBeTrue();
    expect(resonanceOf(network(c, { knobs: { volume: 0 } }))).toBeNull();
  });

  it('is nothing where both ends of a coil are one node', () => {
    const c = exactly('one pickup straight to the jack', [plainPickup('neck', plainCoil('coil', 8000))]);
    const shorted = { ...c, joints: [...c.joints, { a: { element: 'neck', lug: 'coil start' }, b: { element: 'neck', lug: 'coil finish' } }] };
    expect(resonanceOf(network(shorted))).toBeNull();
  });

  it('refuses a load that cannot be', () => {
    const c = voiced({});
    expect(() => network(c, {}, { farad: -1e-12, ohms: 1e6 })).toThrowError(RangeError);
    expect(() => network(c, {}, { farad: 0, ohms: 0 })).toThrowError(RangeError);
    expect(() => heardFrequencies(1)).toThrowError(RangeError);
  });

  it('is that of plain modified nodal analysis, for random joints between random parts', () => {
    const random = seeded(20261);
    const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
    let compared = 0;
    for (let round = 0; round < 150; round++) {
      const two = [humbucker('neck', 3000 + 2000 * random(), 3000 + 2000 * random()), humbucker('bridge', 4000 + 3000 * random(), 4000)];
      const c = exactly(MASTER, two, {
        taper: 'linear',
        bleed: pick(['none', 'capacitor', 'capacitor and resistor in parallel', 'capacitor and resistor in series']),
      });
      // wires that nobody would draw: any lug to any other
      const lugs = c.joints.flatMap((j) => [j.a, j.b]);
      const wild = Array.from({ length: 1 + Math.floor(2 * random()) }, () => ({ a: pick(lugs), b: pick(lugs) })).filter((j) => j.a.element !== j.b.element);
      const cut = { ...c, joints: [...c.joints.filter(() => random() > 0.06), ...wild] };
      const n = network(cut, { positions: { selector: Math.floor(3 * random()) }, knobs: { volume: random(), tone: random() } });
      if (n.tip < 0 || n.sources.length === 0) continue;
      const { deck, tip } = responseDeck('random', n, asStruck(n));
      const levels = levelsOf(n, heardFrequencies(9));
      heardFrequencies(9).forEach((hertz, i) => {
        const solved = solveDeck(deck, hertz);
        if (!solved.ok) throw new Error('a network without an answer');
        const v = solved.volts.get(tip) ?? { re: 0, im: 0 };
        const ours = voltageAt(n, asStruck(n), hertz);
        expect(Math.hypot(v.re - ours.re, v.im - ours.im)).toBeLessThan(1e-9);
        const level = 20 * Math.log10(Math.hypot(v.re, v.im));
        if (level > -100) expect(Math.abs((levels[i] ?? 0) - level)).toBeLessThan(0.001);
        compared += 1;
      });
    }
    expect(compared).toBeGreaterThan(600);
  });
});

describe('what is heard', () => {
  const single = (id: string, w: 1 | -1, m: 1 | -1) => plainPickup(id, plainCoil('coil', 8000, { winding: w, magnet: m }));
  const both = { positions: { selector: 1 } };

  it('of a pair wound and magnetised the other way is in phase and cancels hum', () => {
    const h = heardOf(network(exactly(MASTER, [single('neck', 1, 1), single('bridge', -1, -1)]), both));
    expect([h.inPhase, h.humCancelling]).toEqual([true, true]);
  });

  it('of a pair alike is in phase and hums', () => {
    const h = heardOf(network(exactly(MASTER, [single('neck', 1, 1), single('bridge', 1, 1)]), both));
    expect([h.inPhase, h.humCancelling, h.humLeft]).toEqual([true, false, 1]);
  });

  it('of one pair of leads exchanged is out of phase, and hums where it cancelled', () => {
    const c = exactly('two pickups, toggle, one volume and tone, phase of the neck pickup on the tone', [single('neck', 1, 1), single('bridge', -1, -1)]);
    const pushed = heardOf(network(c, both));
    const pulled = heardOf(network(c, { ...both, pulled: { tone: true } }));
    expect([pushed.inPhase, pushed.humCancelling]).toEqual([true, true]);
    expect([pulled.inPhase, pulled.humCancelling]).toEqual([false, false]);
    expect(pulled.coils.map((x) => x.connection)).not.toEqual(pushed.coils.map((x) => x.connection));
  });

  it('of a humbucker cancels by itself, split does not, and two that are left with opposite magnets cancel again', () => {
    const id = 'two pickups, toggle, one volume and tone, both split on the volume';
    const c = exactly(id, [humbucker('neck', 4000, 4000), humbucker('bridge', 4000, 4000)]);
    const whole = heardOf(network(c));
    expect([whole.coils.length, whole.inPhase, whole.humCancelling]).toEqual([2, true, true]);
    const split = heardOf(network(c, { pulled: { volume: true } }));
    expect([split.coils.length, split.humCancelling]).toEqual([1, null]);
    const alike = heardOf(network(c, { ...both, pulled: { volume: true } }));
    expect([alike.coils.length, alike.inPhase, alike.humCancelling]).toEqual([2, true, false]);
    const turned = { ...humbucker('bridge', 4000, 4000), coils: [...humbucker('bridge', 4000, 4000).coils].reverse() };
    const unlike = heardOf(network(exactly(id, [humbucker('neck', 4000, 4000), turned]), { ...both, pulled: { volume: true } }));
    expect([unlike.coils.length, unlike.inPhase, unlike.humCancelling]).toEqual([2, true, true]);
  });

  it('in every preset is in phase at every setting, but where it turns the phase on purpose', () => {
    for (const row of PRESETS) {
      const c = presetCircuit(row.id, usualWish(['neck', 'middle', 'bridge'].slice(0, row.pickups).map((p) => humbucker(p, 4000, 4100))));
      for (const s of everySetting(c)) {
        const { inPhase } = heardOf(networkOf(netlistOf(wired(c), s), USUAL_LOAD));
        expect(inPhase)
          .withContext(`${row.id}: ${settingKey(c, s)}`)
          .not.toBe(row.id.includes('phase') && settingKey(c, s) === 'selector 2, tone pulled');
      }
    }
  });
});
