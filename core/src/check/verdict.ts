import type { Judgement, Leaf, Working } from '../measure/index.js';
import { isMeasured, judge, leavesOf, notMeasured } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Point } from '../shape/index.js';
import type { Corner } from './corner.js';
import type { CheckId } from './rows.js';

/** What was compared with what, by the ids of features, sets, tiers and rows. */
export interface Subject {
  readonly feature: string;
  readonly item?: string;
  readonly against?: string;
}

/** A size of a part that nobody has stated. */
export interface Lacking {
  readonly part: string;
  readonly size: string;
}

/** Two threads that would have to go into one another. */
export interface ThreadsMet {
  readonly mine: string;
  readonly theirs: string;
  readonly alike: boolean;
}

/** A comparison with its numbers; words/ makes the sentence. */
export interface Verdict extends Judgement {
  /** Stable over recomputations: check and subject. */
  readonly id: string;
  readonly check: CheckId;
  /** The choice of the plan that it judges. */
  readonly choice: string;
  readonly subject: Subject;
  readonly unit: 'mm' | 'count';
  /** The worst point, in the body's frame. */
  readonly at: Point | null;
  /** Which radii meet, and at which tier of the part, where a corner is judged. */
  readonly corner?: Corner & { readonly tier: string };
  readonly working: Working | null;
  /** What has to be measured before anything can be said. */
  readonly missing: readonly Target[];
  /** What has to be stated of the part first. */
  readonly lacks?: readonly Lacking[];
  readonly threads?: ThreadsMet;
  /** It rests on a default or on hearsay. */
  readonly typical: boolean;
}

function idOf(check: CheckId, s: Subject): string {
  return [check, s.feature, s.item ?? '', s.against ?? ''].join('/');
}

export function verdict(check: CheckId, subject: Subject, working: Working, minimum: number, at: Point | null): Verdict {
  const typical = leavesOf(working).some((l: Leaf) => !isMeasured(l));
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', at, working, missing: [], typical, ...judge(working, minimum) };
}

export function missingVerdict(check: CheckId, subject: Subject, missing: readonly Target[], minimum: number, at: Point | null = null): Verdict {
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', at, working: null, missing, typical: false, ...notMeasured(minimum) };
}

/** A size of the part is not known: nothing can be said before it is stated. */
export function lackingVerdict(
  check: CheckId,
  subject: Subject,
  lacks: readonly Lacking[],
  missing: readonly Target[],
  minimum: number,
  at: Point | null,
): Verdict {
  return { ...missingVerdict(check, subject, missing, minimum, at), lacks };
}

/** A comparison of whole numbers: enough or not. */
export function countVerdict(check: CheckId, subject: Subject, has: number, needs: number): Verdict {
  return {
    id: idOf(check, subject),
    check,
    choice: '',
    subject,
    unit: 'count',
    at: null,
    working: null,
    missing: [],
    typical: false,
    clearance: has - needs,
    worst: 0,
    rss: 0,
    minimum: 0,
    class: has >= needs ? 'well' : 'clashes',
  };
}
