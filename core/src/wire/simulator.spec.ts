// Circuits against an independent simulator, on the decks that are exported: direct current within 0.01 Ω or a millionth, alternating current within 0.001 dB and 0.01°.
import { AT_20, measured, plainCoil, plainPickup } from '../testing/circuit.js';
import { simulated } from '../testing/ngspice.js';
import { seeded } from '../testing/random.js';
import {
  asStruck,
  BLEEDS,
  deckText,
  everySetting,
  meterDeck,
  netlistOf,
  networkOf,
  ohmsFromProbe,
  presetCircuit,
  PRESETS,
  rationalOf,
  readDeck,
  resistanceBetween,
  responseDeck,
  settingKey,
  solveDeck,
  usualWish,
  valueAt,
  voltageAt,
  wired,
  type Circuit,
  type Complex,
  type Load,
  type PickupElement,
  type Setting,
} from './index.js';

const TIP = { element: 'jack', lug: 'tip' };
const SLEEVE = { element: 'jack', lug: 'sleeve' };
const HERTZ = Array.from({ length: 31 }, (_, i) => 20 * 1000 ** (i / 30));

interface Case {
  readonly name: string;
  readonly circuit: Circuit;
  readonly setting: Setting;
  readonly load: Load;
}

const random = seeded(140_721);
const within = (low: number, high: number): number => low + (high - low) * random();
const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;

function anyPickup(id: string, two: boolean): PickupElement {
  const coil = (name: string, magnet: 1 | -1) =>
    plainCoil(name, within(2500, 8000), {
      henry: measured(within(1, 6)),
      farad: random() < 0.1 ? null : measured(within(30e-12, 200e-12)),
      loss: random() < 0.5 ? null : measured(within(150_000, 900_000)),
      winding: pick([1, -1] as const),
      magnet,
    });
  return two || random() < 0.4 ? plainPickup(id, coil('north', 1), coil('south', -1)) : plainPickup(id, coil('coil', pick([1, -1] as const)));
}

/** Every preset at every position and pull, with pickups, values, knobs and loads that nobody chose. */
function everyCase(): readonly Case[] {
  return PRESETS.flatMap((row) => {
    const pickups = ['neck', 'middle', 'bridge'].slice(0, row.pickups).map((id, i) => anyPickup(id, row.split.includes(i)));
    const wish = {
      ...usualWish(pickups),
      bleed: pick(BLEEDS),
      independent: random() < 0.5,
      leftHanded: random() < 0.3,
      noLoadTone: random() < 0.3,
      taper: pick(['linear', 'audio 10', 'audio 15'] as const),
    };
    const circuit = presetCircuit(row.id, wish);
    return everySetting(circuit).flatMap((s) =>
      [null, 0, 1].map((knob): Case => {
        const knobs = Object.fromEntries(circuit.elements.flatMap((e) => (e.kind === 'pot' ? [[e.id, knob ?? pick([0, 0.2, 0.5, 0.83, 1])]] : [])));
        const setting = { ...s, knobs: knob === 1 ? s.knobs : knobs };
        return {
          name: `${row.id}: ${settingKey(circuit, setting)}`,
          circuit,
          setting,
          load: { farad: within(100e-12, 1e-9), ohms: pick([1e6, 220_000, 10e6]) },
        };
      }),
    );
  });
}

/** All of them in the audit, 300 by a seed otherwise. */
function cases(): readonly Case[] {
  const all = everyCase();
  if (process.env['RINNOVO_DECKS'] === 'all') return all;
  const order = all.map((c) => [random(), c] as const).sort((a, b) => a[0] - b[0]);
  return order.slice(0, 300).map(([, c]) => c);
}

describe('circuits against an independent simulator', () => {
  const chosen = cases();

  it('read the same on the meter', () => {
    const asked = chosen.flatMap((c) => {
      const netlist = netlistOf(wired(c.circuit), c.setting);
      const { value } = resistanceBetween(netlist, TIP, SLEEVE, AT_20);
      const m = meterDeck(c.name, netlist, TIP, SLEEVE, AT_20);
      // one node, or nothing that joins them
      if (m === null)
        expect(value === 0 || value >= 1e9)
          .withContext(c.name)
          .toBeTrue();
      return m ? [{ name: c.name, value, text: deckText(m.deck, 'meter'), node: m.probe, hertz: [] }] : [];
    });
    simulated(asked).forEach(([volt], i) => {
      const { name = '', value = 0 } = asked[i] ?? {};
      const theirs = ohmsFromProbe(volt?.re ?? 0);
      expect(Math.abs(theirs - value))
        .withContext(`${name}: ${value} against ${theirs}`)
        .toBeLessThanOrEqual(Math.max(0.01, 1e-6 * value));
    });
    expect(asked.length).toBeGreaterThan(150);
  });

  it('sound the same at 31 frequencies', () => {
    const asked = chosen.flatMap((c) => {
      const n = networkOf(netlistOf(wired(c.circuit), c.setting), c.load);
      if (n.tip < 0 || n.sources.length === 0) return [];
      const drives = asStruck(n);
      const { deck, tip } = responseDeck(c.name, n, drives);
      const r = rationalOf(n, drives);
      const ours = HERTZ.map((f) => (r ? valueAt(r, f) : voltageAt(n, drives, f)));
      return [{ name: c.name, deck, ours, text: deckText(deck, 'response'), node: tip, hertz: HERTZ }];
    });
    const size = ({ re, im }: Complex): number => Math.hypot(re, im);
    simulated(asked).forEach((theirs, i) => {
      const { name = '', ours = [] } = asked[i] ?? {};
      const wrong = theirs.flatMap((b, k) => {
        const a = ours[k] ?? { re: 0, im: 0 };
        const level = 20 * Math.log10(size(b));
        if (level <= -100) return Math.hypot(a.re - b.re, a.im - b.im) <= 1e-7 ? [] : [HERTZ[k]];
        const off = Math.abs(20 * Math.log10(size(a)) - level);
        const turned = (Math.abs(Math.atan2(a.im * b.re - a.re * b.im, a.re * b.re + a.im * b.im)) * 180) / Math.PI;
        return off <= 0.001 && turned <= 0.01 ? [] : [HERTZ[k]];
      });
      expect(wrong).withContext(name).toEqual([]);
    });
    expect(asked.length).toBeGreaterThan(150);
  });

  it('have decks that read back equal, and mean the same to plain nodal analysis', () => {
    for (const c of chosen.slice(0, 60)) {
      const n = networkOf(netlistOf(wired(c.circuit), c.setting), c.load);
      if (n.tip < 0 || n.sources.length === 0) continue;
      const { deck, tip } = responseDeck(c.name, n, asStruck(n));
      const back = readDeck(deckText(deck, 'response'));
      expect(back).toEqual({ ok: true, deck });
      const solved = back.ok ? solveDeck(back.deck, 1000) : null;
      const ours = voltageAt(n, asStruck(n), 1000);
      const v = solved?.ok ? solved.volts.get(tip) : undefined;
      expect(Math.hypot((v?.re ?? 9) - ours.re, (v?.im ?? 9) - ours.im)).toBeLessThan(1e-9);
    }
  });
});
