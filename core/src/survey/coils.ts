import { constant } from '../measure/index.js';
import type { StateOf, StateReading } from './state-of.js';

/** A meter across the jack of a sound coil never shows so much, Ω. */
const NO_COIL = constant(60_000, 'memory', 'Coils');
/** Over this in every position not even the pot is seen, Ω. */
const NO_POT = constant(2e6, 'trade', 'Coils');
/** Up to this hot and ground touch, and under this no coil reads, Ω. */
const TOUCHING = constant(5, 'trade', 'Coils');
const NO_WIRE = constant(50, 'memory', 'Coils');
/** A pot is off its mark by a fifth; the usual ones, where nobody knows which sit here, Ω. */
const POT_OFF = constant(0.2, 'trade', 'Coils');
const USUAL_POTS = [250_000, 500_000, 1e6] as const;
/** So far from what is expected it is the same, by the tolerance of pots and the temperature of copper; a coil that lacks turns lacks more. */
const ABOUT = constant(0.12, 'memory', 'Coils');
const TOGETHER = constant(0.04, 'memory', 'Coils');
const LACKING = constant(0.1, 'memory', 'Coils');
/** Cold copper reads low everywhere alike: by so much, and so evenly. */
const COLD = [constant(0.95, 'trade', 'Coils'), constant(0.985, 'trade', 'Coils')] as const;
const EVEN = constant(0.015, 'memory', 'Coils');

const least = ({ reading }: StateReading): number => reading.value - reading.limit;
const most = ({ reading }: StateReading): number => reading.value + reading.limit;
/** Two in parallel [law]: 7850 and 500 000 read 7729. */
export const parallel = (a: number, b: number): number => (a * b) / (a + b);
const within = (t: StateReading, expected: number, share: number): boolean => least(t) <= expected * (1 + share) && most(t) >= expected * (1 - share);

/** What the coils of a pickup should read: in series, one by itself, in parallel; behind the largest of its pots. null: nobody knows them. */
export interface Expected {
  readonly whole: number;
  readonly halves: readonly number[];
  readonly quarter: number | null;
  readonly henry: number | null;
}

export function expectedOf({ surveyed }: StateOf, pickup: string): Expected | null {
  const coils = surveyed.wired?.coils[pickup] ?? [];
  const ohms = coils.flatMap((c) => (c.ohms === null ? [] : [c.ohms]));
  if (ohms.length === 0 || ohms.length < coils.length) return null;
  const pots = surveyed.wired?.pots ?? [];
  const behind = (r: number): number => (pots.length > 0 ? parallel(r, Math.max(...pots)) : r);
  const [a, b] = ohms;
  const henries = coils.map((c) => c.henry);
  return {
    whole: behind(ohms.reduce((sum, r) => sum + r, 0)),
    halves: ohms.length > 1 ? ohms.map(behind) : [],
    quarter: ohms.length === 2 && a !== undefined && b !== undefined ? behind(parallel(a, b)) : null,
    henry: henries.some((h) => h === null) ? null : henries.reduce<number>((sum, h) => sum + (h ?? 0), 0),
  };
}

const readings = (s: StateOf): readonly StateReading[] => s.of('resistance');
const everywhere = (s: StateOf, is: (t: StateReading) => boolean): readonly StateReading[] => {
  const all = readings(s);
  return all.length > 0 && all.every(is) ? all : [];
};

/** Nothing is connected in any position. */
export const jackOpen = (s: StateOf): readonly StateReading[] => everywhere(s, (t) => least(t) > NO_POT.value);
/** Hot and ground touch in every position. */
export const hotShorted = (s: StateOf): readonly StateReading[] => everywhere(s, (t) => t.reading.value <= TOUCHING.value);

/** Coils that are open: the meter reads the pot in their place, or nothing where others read. 198 k behind a pot of 250 k that may be a fifth less. */
export function coilOpen(s: StateOf): readonly StateReading[] {
  if (jackOpen(s).length > 0) return [];
  const known = s.surveyed.wired?.pots ?? [];
  const pots = known.length > 0 ? known : USUAL_POTS;
  return readings(s).filter((t) => {
    if (least(t) > NO_POT.value) return true;
    const coil = expectedOf(s, t.target.feature)?.whole ?? null;
    const tooMuch = coil === null ? least(t) > NO_COIL.value : least(t) > 2 * coil;
    return tooMuch && (least(t) > NO_COIL.value || pots.some((p) => within(t, p, POT_OFF.value)));
  });
}

/** Coils that the meter does not see, where not all are so. */
export const coilShorted = (s: StateOf): readonly StateReading[] => (hotShorted(s).length > 0 ? [] : readings(s).filter((t) => most(t) < NO_WIRE.value));

/** Coils that read as one of their two does. */
export const halfCoil = (s: StateOf): readonly StateReading[] =>
  readings(s).filter((t) => expectedOf(s, t.target.feature)?.halves.some((half) => within(t, half, ABOUT.value)) ?? false);

/** Coils that read as their two in parallel do: a quarter. */
export const quarterCoil = (s: StateOf): readonly StateReading[] =>
  readings(s).filter((t) => {
    const quarter = expectedOf(s, t.target.feature)?.quarter ?? null;
    return quarter !== null && within(t, quarter, ABOUT.value);
  });

/** Coils that read whole. */
export const wholeCoil = (s: StateOf): readonly StateReading[] =>
  readings(s).filter((t) => {
    const expected = expectedOf(s, t.target.feature);
    return (expected?.halves.length ?? 0) > 0 && within(t, expected?.whole ?? 0, ABOUT.value);
  });

/** What two pickups together read, against what each reads alone. */
function pairs(s: StateOf, is: (pair: StateReading, a: StateReading, b: StateReading) => readonly StateReading[]): readonly StateReading[] {
  return s.of('pairResistance').flatMap((pair) => {
    const a = s.at('resistance', pair.target.feature);
    const b = s.at('resistance', pair.target.part ?? '');
    return a && b ? is(pair, a, b) : [];
  });
}

/** Together they read as one of them does: the other is absent. 6110 with 7720 and 6100, where 3408 was to be. */
export const pairIsOne = (s: StateOf): readonly StateReading[] =>
  pairs(s, (pair, a, b) => {
    const one = [a, b].find((x) => within(pair, x.reading.value, TOGETHER.value));
    return one && !within(pair, parallel(a.reading.value, b.reading.value), TOGETHER.value) ? [pair, one] : [];
  });

/** Together they read the sum: they are in series. */
export const pairIsSum = (s: StateOf): readonly StateReading[] =>
  pairs(s, (pair, a, b) => (within(pair, a.reading.value + b.reading.value, TOGETHER.value) ? [pair, a, b] : []));

/** Some three per cent low everywhere alike: copper that is cold, 0.39 % per degree [law]. */
export function coldCopper(s: StateOf): readonly StateReading[] {
  const shares = readings(s).flatMap((t) => {
    const expected = expectedOf(s, t.target.feature);
    return expected ? [{ t, share: t.reading.value / expected.whole }] : [];
  });
  const all = shares.map((x) => x.share);
  const [from, to] = COLD;
  const cold = all.length > 1 && all.every((x) => x >= from.value && x <= to.value) && Math.max(...all) - Math.min(...all) <= EVEN.value;
  const room = s.at('temperature', 'room');
  return cold ? [...shares.map((x) => x.t), ...(room ? [room] : [])] : [];
}

/** Resistance and inductance both low: turns that touch. */
export const turnsShorted = (s: StateOf): readonly StateReading[] =>
  s.of('inductance').flatMap((henry) => {
    const ohms = s.at('resistance', henry.target.feature);
    const expected = expectedOf(s, henry.target.feature);
    const henries = expected?.henry ?? null;
    if (!ohms || !expected || henries === null) return [];
    const lacks = (t: StateReading, of: number): boolean => most(t) < of * (1 - LACKING.value);
    return lacks(ohms, expected.whole) && lacks(henry, henries) ? [ohms, henry] : [];
  });

/** With its tone turned down a pickup reads less: its capacitor lets direct current through. */
export const capLeaky = (s: StateOf): readonly StateReading[] =>
  s.of('toneResistance').flatMap((down) => {
    const up = s.at('resistance', down.target.feature);
    return up && most(down) < least(up) * (1 - LACKING.value) ? [up, down] : [];
  });
