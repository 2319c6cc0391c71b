import { isOpenCircuit, STATES, targetKey, type StateId, type StateTarget, type Under } from '../quantity/index.js';

/** A value of a survey or of a profile, in its unit. */
export interface StateValue {
  readonly target: StateTarget;
  readonly value: number;
  readonly limit: number;
  /** What it was taken under, where that is known. */
  readonly under?: Under;
}

/** What strings and tuning change [trade]: numbers taken under others are not set side by side without a word. */
const UNDER_TENSION: ReadonlySet<StateId> = new Set<StateId>([
  'relief',
  'reliefTreble',
  'reliefAt',
  'action',
  'nutGap',
  'intonation',
  'pickupHeight',
  'tremoloRest',
]);

/** Values that were wanted once: an instrument that plays well. */
export interface Profile {
  readonly id: string;
  readonly name: string;
  /** The instrument and survey that it was read on. */
  readonly instrument: string;
  readonly survey: string;
  readonly values: readonly StateValue[];
}

/** One value on both sides. */
export interface Difference {
  readonly target: StateTarget;
  readonly from: StateValue | null;
  readonly to: StateValue | null;
  /** to − from; null where one side was not read, and for answers. */
  readonly change: number | null;
  /** Both limits of error together; null where one side was not read. */
  readonly limit: number | null;
  /** The change is more than both tools can be wrong. */
  readonly differs: boolean;
  /** They were taken under other strings or another tuning, and that matters. */
  readonly otherTension: boolean;
}

const SLACK = 1e-9;

/** Quantity by quantity in the order of the catalogue, place by place: relief 0.25 ± 0.03 against 0.35 ± 0.03 differs (0.10 > 0.06), against 0.30 it does not. */
export function compareStates(from: readonly StateValue[], to: readonly StateValue[]): readonly Difference[] {
  const [a, b] = [byKey(from), byKey(to)];
  const rank = Object.keys(STATES);
  return [...new Set([...a.keys(), ...b.keys()])]
    .map((key) => difference(a.get(key) ?? null, b.get(key) ?? null))
    .flatMap((d) => (d === null ? [] : [d]))
    .sort((x, y) => rank.indexOf(x.target.quantity) - rank.indexOf(y.target.quantity) || byPlace(x.target, y.target));
}

function byKey(values: readonly StateValue[]): ReadonlyMap<string, StateValue> {
  return new Map(values.map((v) => [targetKey(v.target), v]));
}

/** string 2 before string 10. */
function byPlace(a: StateTarget, b: StateTarget): number {
  return placeNumber(a) - placeNumber(b) || `${a.feature}/${a.part ?? ''}`.localeCompare(`${b.feature}/${b.part ?? ''}`);
}

/** The number of a string or a fret; 0 where the place has none. */
export function placeNumber(t: StateTarget): number {
  return Number(/^(?:string|fret) (\d+)$/.exec(t.feature)?.[1] ?? 0);
}

function difference(from: StateValue | null, to: StateValue | null): Difference | null {
  const target = (to ?? from)?.target;
  if (!target) return null;
  if (!from || !to) return { target, from, to, change: null, limit: null, differs: false, otherTension: false };
  const otherTension = UNDER_TENSION.has(target.quantity) && isOther(from.under, to.under);
  const limit = from.limit + to.limit;
  const change = to.value - from.value;
  if (STATES[target.quantity].unit === 'choice') return { target, from, to, change: null, limit, differs: from.value !== to.value, otherTension };
  // what is open has no size: it is open on both sides, or it differs
  const opens = [from, to].filter((v) => isOpenCircuit(v.value)).length;
  if (opens > 0) return { target, from, to, change: null, limit: null, differs: opens === 1, otherTension };
  return { target, from, to, change, limit, differs: Math.abs(change) > limit + SLACK, otherTension };
}

/** Known on both sides, and not the same words. */
function isOther(a: Under | undefined, b: Under | undefined): boolean {
  const apart = (x: string, y: string): boolean => x.trim() !== '' && y.trim() !== '' && x.trim().toLowerCase() !== y.trim().toLowerCase();
  return a !== undefined && b !== undefined && (apart(a.strings, b.strings) || apart(a.tuning, b.tuning));
}

/** One quantity along the instrument, for a curve: places with a number of their own in order, and what both sides have there. */
export interface Course {
  readonly quantity: StateId;
  readonly places: readonly StateTarget[];
  readonly from: readonly (number | null)[];
  readonly to: readonly (number | null)[];
}

/** The quantities of which more than one place was read, each as a course. */
export function coursesOf(rows: readonly Difference[]): readonly Course[] {
  const ids = [...new Set(rows.map((r) => r.target.quantity))].filter((q) => STATES[q].unit !== 'choice');
  return ids.flatMap((quantity) => {
    const of = rows.filter((r) => r.target.quantity === quantity);
    if (of.length < 2) return [];
    const drawn = (v: StateValue | null): number | null => (v === null || isOpenCircuit(v.value) ? null : v.value);
    return [{ quantity, places: of.map((r) => r.target), from: of.map((r) => drawn(r.from)), to: of.map((r) => drawn(r.to)) }];
  });
}
