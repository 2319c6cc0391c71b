import { constant } from '../measure/index.js';
import { networkOf, USUAL_LOAD } from './alternating.js';
import { byItself, elementIn, type Circuit, type Element, type Lug, type PotElement } from './circuit.js';
import { USUAL_ROOM, type Room } from './copper.js';
import { heardOf, type HeardCoil } from './heard.js';
import { coilLug, trackLug } from './kinds/index.js';
import { toTrace } from './loose-ends.js';
import { netlistOf, wired, type Wired } from './netlist.js';
import { readingBetween, resistanceBetween, type Predicted } from './resistance.js';
import { controlsOf, everySetting, restingSetting, settingKey, withControl, type Setting } from './setting.js';

/** When a line is read, in the order of the work: parts alone, the harness on the bench, in the body through a patch lead with its plug in, with one string on. */
export const TEST_STAGES = ['part', 'harness', 'body', 'string'] as const;
export type TestStage = (typeof TEST_STAGES)[number];

/** What can be read of a circuit: how a part is by itself, what the jack reads before and after the harness is in, what is heard, what a cell gives. */
export type TestQuantity =
  'partResistance' | 'partCapacitance' | 'partInductance' | 'harnessResistance' | 'jackResistance' | 'tapAt' | 'stringAt' | 'supplyCurrent';

/** A reading of a circuit: of which element or of the jack, between which lugs or at which setting. */
export interface TestTarget {
  readonly quantity: TestQuantity;
  readonly feature: string;
  readonly part: string;
}

/** One line of the test sheet: where the probes go and how the circuit stands. */
export interface TestLine {
  readonly stage: TestStage;
  readonly target: TestTarget;
  /** null: nothing is put on it. */
  readonly probes: readonly [Lug, Lug] | null;
  readonly setting: Setting;
}

const TIP: Lug = { element: 'jack', lug: 'tip' };
const SLEEVE: Lug = { element: 'jack', lug: 'sleeve' };

/** A sheet goes through no more settings than this one by one: beyond, through each control by itself. */
const MOST_SETTINGS = constant(40, 'memory', 'Test sheet');

/** Every line in the order of the work; empty while there are lugs to trace. */
export function testSheet(circuit: Circuit): readonly TestLine[] {
  if (toTrace(circuit).length > 0 || !elementIn(circuit, 'jack')) return [];
  const w = wired(circuit);
  const settings = settingsToTest(circuit);
  const quiet = knobsDown(w, settings);
  const jack = (stage: 'harness' | 'body'): readonly TestLine[] =>
    [...settings, ...quiet].map((setting) => ({
      stage,
      target: { quantity: stage === 'harness' ? 'harnessResistance' : 'jackResistance', feature: 'jack', part: settingKey(circuit, setting) },
      probes: [TIP, SLEEVE],
      setting,
    }));
  const byEar = (stage: 'body' | 'string'): readonly TestLine[] =>
    settings.map((setting) => ({
      stage,
      target: { quantity: stage === 'body' ? 'tapAt' : 'stringAt', feature: 'jack', part: settingKey(circuit, setting) },
      probes: null,
      setting,
    }));
  return [
    ...circuit.elements.flatMap(partLines),
    ...jack('harness'),
    ...jack('body'),
    ...circuit.elements.flatMap((e) => supplyLines(circuit, e)),
    ...byEar('body'),
    ...byEar('string'),
  ];
}

/** Every position with every pull, full up; of a circuit with more than MOST_SETTINGS each control by itself. */
function settingsToTest(circuit: Circuit): readonly Setting[] {
  const rest = restingSetting(circuit);
  const all = everySetting(circuit, rest);
  if (all.length <= MOST_SETTINGS.value) return all;
  const single = controlsOf(circuit).flatMap((c) => Array.from({ length: c.count }, (_, i) => withControl(rest, c, i)));
  return [...new Map(single.map((s) => [settingKey(circuit, s), s])).values()];
}

/** Each volume and tone once at 0, where that pickup is heard with as few others as can be: a volume must mute, a tone must change nothing. */
function knobsDown(w: Wired, settings: readonly Setting[]): readonly Setting[] {
  const read = (s: Setting): number => readingBetween(netlistOf(w, s), TIP, SLEEVE);
  return w.circuit.elements.flatMap((e): readonly Setting[] => {
    if (e.kind !== 'pot' || (e.does !== 'volume' && e.does !== 'tone')) return [];
    const down = (s: Setting): Setting => ({ ...s, knobs: { ...s.knobs, [e.id]: 0 } });
    const heard = settings.filter((s) => hears(w, s, e)).sort((a, b) => coilsAt(w, a).length - coilsAt(w, b).length)[0] ?? settings[0];
    return heard && (e.does === 'tone' || read(down(heard)) !== read(heard)) ? [down(heard)] : [];
  });
}

/** Is the pickup that a pot serves heard at a setting? One that serves all is, wherever anything is. */
function hears(w: Wired, s: Setting, { place }: PotElement): boolean {
  return coilsAt(w, s).some((c) => place === null || elementIn(w.circuit, c.element)?.place === place);
}

const coilsAt = (w: Wired, s: Setting): readonly HeardCoil[] => heardOf(networkOf(netlistOf(w, s), USUAL_LOAD)).coils;

/** What is read of a part before it is soldered in. */
function partLines(e: Element): readonly TestLine[] {
  const rest: Setting = { positions: {}, pulled: {}, knobs: {}, plugged: true };
  const line = (quantity: TestQuantity, a: string, b: string, at = ''): TestLine => {
    const knobs: Readonly<Record<string, number>> = at === 'at 0' ? { [e.id]: 0 } : at === 'at half' ? { [e.id]: 0.5 } : {};
    return {
      stage: 'part',
      target: { quantity, feature: e.id, part: `${a} – ${b}${at === '' ? '' : `, ${at}`}` },
      probes: [
        { element: e.id, lug: a },
        { element: e.id, lug: b },
      ],
      setting: { ...rest, knobs },
    };
  };
  switch (e.kind) {
    case 'pickup':
      return e.coils.flatMap((c) =>
        (['partResistance', 'partInductance'] as const).map((quantity) => line(quantity, coilLug(c.name, 'start'), coilLug(c.name, 'finish'))),
      );
    case 'pot':
      return e.tracks.flatMap((_, i) => [
        line('partResistance', trackLug(i, 1), trackLug(i, 3)),
        line('partResistance', trackLug(i, 1), trackLug(i, 2), 'at 0'),
        line('partResistance', trackLug(i, 1), trackLug(i, 2), 'at half'),
        line('partResistance', trackLug(i, 2), trackLug(i, 3), 'at full'),
      ]);
    case 'capacitor':
      return [line('partCapacitance', '1', '2'), line('partResistance', '1', '2')];
    case 'resistor':
      return [line('partResistance', '1', '2')];
    default:
      return [];
  }
}

/** What a cell gives, with a plug in the jack and without. */
function supplyLines(circuit: Circuit, e: Element): readonly TestLine[] {
  if (e.kind !== 'cell') return [];
  return [true, false].map((plugged) => ({
    stage: 'body',
    target: { quantity: 'supplyCurrent', feature: e.id, part: plugged ? 'plugged in' : 'unplugged' },
    probes: null,
    setting: { ...restingSetting(circuit), plugged },
  }));
}

/** What a line must read: Ω, nF, H or mA with its limits; null: nothing is predicted. `by ear` lines tell what is heard. */
export interface Expected {
  readonly value: number;
  readonly least: number;
  readonly most: number;
  /** Of a resistance: what it rests on. */
  readonly resistance: Predicted | null;
}

/** The prediction of a line. A part is read by itself: nothing is joined to it yet. */
export function expectedAt(w: Wired, { target, probes, setting }: TestLine, room: Room = USUAL_ROOM): Expected | null {
  const { circuit } = w;
  switch (target.quantity) {
    case 'partCapacitance': {
      const e = elementIn(circuit, target.feature);
      return e?.kind === 'capacitor' ? inUnits(e.farad, 1e9) : null;
    }
    case 'partInductance': {
      const e = elementIn(circuit, target.feature);
      const coil = e?.kind === 'pickup' ? e.coils.find((c) => coilLug(c.name, 'start') === probes?.[0].lug) : undefined;
      return coil?.henry ? inUnits(coil.henry, 1) : null;
    }
    case 'supplyCurrent':
      return supplyAt(circuit, setting);
    case 'partResistance':
    case 'harnessResistance':
    case 'jackResistance': {
      if (!probes) return null;
      const of = target.quantity === 'partResistance' ? wired(byItself(circuit, target.feature)) : w;
      const p = resistanceBetween(netlistOf(of, setting), probes[0], probes[1], room);
      return p.throughPreamp || p.unknown.length > 0 ? null : { value: p.value, least: p.least, most: p.most, resistance: p };
    }
    default:
      return null;
  }
}

/** Why nothing is predicted of a resistance: it reads through a preamp, or a value is not known. */
export type NoTarget = 'preamp' | 'unknown';

/** Why a line has no prediction; null where it has one, or is read by ear. */
export function whyNoTarget(w: Wired, line: TestLine): NoTarget | null {
  if (!line.probes || expectedAt(w, line)) return null;
  if (line.stage === 'part') return 'unknown';
  return w.circuit.elements.some((e) => e.kind === 'preamp') && resistanceBetween(netlistOf(w, line.setting), ...line.probes).throughPreamp
    ? 'preamp'
    : 'unknown';
}

/** A value with its limits, so many units to one. */
const inUnits = ({ value, limit }: { readonly value: number; readonly limit: number }, units: number): Expected => ({
  value: value * units,
  least: Math.max(0, value - limit) * units,
  most: (value + limit) * units,
  resistance: null,
});

/** What the preamps draw, mA; nothing where the plug's barrel is what closes the cell's way back. */
function supplyAt(circuit: Circuit, setting: Setting): Expected | null {
  const preamps = circuit.elements.filter((e) => e.kind === 'preamp');
  const cell = circuit.elements.find((e) => e.kind === 'cell');
  if (preamps.length === 0 || !cell) return null;
  const { nodeOf } = netlistOf(wired(circuit), setting);
  const fed = preamps.filter(
    (p) =>
      nodeOf({ element: p.id, lug: 'plus' }) === nodeOf({ element: cell.id, lug: 'plus' }) &&
      nodeOf({ element: p.id, lug: 'ground' }) === nodeOf({ element: cell.id, lug: 'minus' }),
  );
  const sum = (of: (s: { readonly value: number; readonly limit: number }) => number): number => fed.reduce((all, p) => all + of(p.supply) * 1000, 0);
  return { value: sum((s) => s.value), least: sum((s) => Math.max(0, s.value - s.limit)), most: sum((s) => s.value + s.limit), resistance: null };
}
