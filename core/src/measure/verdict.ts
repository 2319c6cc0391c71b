import { contributions, rssOf, valueOf, worstOf, type Working } from './working.js';

/** Well and thin both clear; a missing dimension never does. */
export type VerdictClass = 'well' | 'thin' | 'tooClose' | 'clashes' | 'notMeasured';

/** A clearance judged: c against the hard limit 0, u the worst case, rss beside it, all in mm; null when not measured. */
export interface Judgement {
  readonly clearance: number | null;
  readonly worst: number | null;
  readonly rss: number | null;
  readonly minimum: number;
  readonly class: VerdictClass;
}

/** What is judged when something was not measured. */
export function notMeasured(minimum: number): Judgement {
  return { clearance: null, worst: null, rss: null, minimum, class: 'notMeasured' };
}

/**
 * Three verdicts: c > u clears (well when c − u ≥ minimum), c < −u clashes, otherwise too close to call [law].
 * c 1.12, u 0.35, minimum 1.5: thin, since 0.77 < 1.5.
 */
export function classify(clearance: number, worst: number, minimum: number): VerdictClass {
  const c = tidy(clearance);
  const u = tidy(worst);
  if (c < -u) return 'clashes';
  if (c <= u) return 'tooClose';
  return tidy(c - u) >= tidy(minimum) ? 'well' : 'thin';
}

/** Judges what a working comes to. */
export function judge(working: Working, minimum: number): Judgement {
  const clearance = valueOf(working);
  const limits = contributions(working);
  const worst = worstOf(limits);
  return { clearance, worst, rss: rssOf(limits), minimum, class: classify(clearance, worst, minimum) };
}

/** Rounds away what floating point adds, so that 1.5 − 0.5 is not below 1. */
function tidy(mm: number): number {
  return Math.round(mm * 1e6) / 1e6;
}

const ORDER: readonly VerdictClass[] = ['clashes', 'tooClose', 'notMeasured', 'thin', 'well'];

/** Sorts what matters most first: worse class, then less clearance. */
export function byGravity(
  a: { readonly class: VerdictClass; readonly clearance: number | null },
  b: { readonly class: VerdictClass; readonly clearance: number | null },
): number {
  return ORDER.indexOf(a.class) - ORDER.indexOf(b.class) || (a.clearance ?? 0) - (b.clearance ?? 0);
}
