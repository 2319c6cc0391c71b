import type { Judgement, Leaf, Working } from '../measure/index.js';
import { isMeasured, judge, leavesOf, notMeasured } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Point } from '../shape/index.js';
import type { Corner } from './corner.js';

export type CheckId =
  | 'partInRoute'
  | 'smallestCorner'
  | 'screwInRoute'
  | 'depthUnderPart'
  | 'depthUnderScrews'
  | 'windowGap'
  | 'behindWindow'
  | 'hiddenEdge'
  | 'wall'
  | 'edgeOfBody'
  | 'floor'
  | 'polesUnderStrings'
  | 'leads'
  | 'placeGone'
  | 'coverHoles'
  | 'coverGround'
  | 'stringCount'
  | 'travel'
  | 'bushingInHole'
  | 'hidesHole'
  | 'threadThrough'
  | 'bodyInRoom'
  | 'besideNeighbour'
  | 'hollowBehind'
  | 'holeBeside'
  | 'depthForPart'
  | 'woodOver'
  | 'switchInSlot'
  | 'plugInside'
  | 'leafSwing'
  | 'pressHolds'
  | 'pressSplits'
  | 'headstockThick'
  | 'nextTuner'
  | 'oldHoleShows'
  | 'screwHolds'
  | 'screwPoint'
  | 'screwBeside'
  | 'threadBites'
  | 'threadsMeet'
  | 'wiresInBore'
  | 'plateHides'
  | 'sitsOnTop'
  | 'cutterInCorner'
  | 'plateScrewInAir';

/** What was compared with what, by the ids of features, sets, levels and rows. */
export interface Subject {
  readonly feature: string;
  readonly item?: string;
  readonly against?: string;
}

/** A size of a part that nobody has told. */
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
  /** Which radii meet, and at which level of the part, where a corner is judged. */
  readonly corner?: Corner & { readonly level: string };
  readonly working: Working | null;
  /** What has to be measured before anything can be said. */
  readonly missing: readonly Target[];
  /** What has to be told of the part first. */
  readonly lacks?: readonly Lacking[];
  readonly threads?: ThreadsMet;
  /** It rests on a default or on hearsay. */
  readonly typical: boolean;
}

function idOf(check: CheckId, s: Subject): string {
  return [check, s.feature, s.item ?? '', s.against ?? ''].join('/');
}

export function verdict(check: CheckId, subject: Subject, working: Working, wanted: number, at: Point | null): Verdict {
  const typical = leavesOf(working).some((l: Leaf) => !isMeasured(l));
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', at, working, missing: [], typical, ...judge(working, wanted) };
}

export function missingVerdict(check: CheckId, subject: Subject, missing: readonly Target[], wanted: number, at: Point | null = null): Verdict {
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', at, working: null, missing, typical: false, ...notMeasured(wanted) };
}

/** A size of the part is not known: nothing can be said before it is told. */
export function lackingVerdict(
  check: CheckId,
  subject: Subject,
  lacks: readonly Lacking[],
  missing: readonly Target[],
  wanted: number,
  at: Point | null,
): Verdict {
  return { ...missingVerdict(check, subject, missing, wanted, at), lacks };
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
    wanted: 0,
    class: has >= needs ? 'well' : 'clashes',
  };
}
