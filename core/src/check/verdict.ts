import type { Judgement, Leaf, Working } from '../measure/index.js';
import { isMeasured, judge, leavesOf, notMeasured } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Point } from '../shape/index.js';
import type { Corner } from './corner.js';

/** What verdicts count in. */
export type Unit = 'mm' | '°' | 'count' | 'Ω' | 'V' | 'H' | 'F' | 'Hz' | 'dB' | 'cents' | 'N' | '%' | '°C' | 'turns' | 'choice';

/** What a check can be about, beside its number. */
export type Trait =
  /** It cannot be undone in the wood: what it rests on is read twice before it is cut. */
  | 'restsTwice'
  /** It is about strength: no option thins what it was found with below the least. */
  | 'structural'
  /** It is about what shows. */
  | 'appearance'
  /** It asks how near a hole lies to what is round it: another spot may do. */
  | 'crowding'
  /** A slip of the tool can change it. */
  | 'mishap'
  /** It asks whether a pickup goes into its place as the place is: the way back is judged by it. */
  | 'pickupFits'
  /** It is the gap that is read when the part is tried. */
  | 'tried'
  /** Something is pressed in: tried on scrap first. */
  | 'pressed'
  /** The rim of a hole may show: tried on scrap where it does not clear well. */
  | 'rim'
  /** Not measured, it is only not drawn yet: accepted with a reason. */
  | 'undrawn';

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
  readonly check: string;
  /** The choice of the plan that it judges. */
  readonly choice: string;
  readonly subject: Subject;
  readonly unit: Unit;
  /** What its check is about. */
  readonly about: readonly Trait[];
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

/** Is a verdict about this? */
export function isAbout({ about }: Pick<Verdict, 'about'>, trait: Trait): boolean {
  return about.includes(trait);
}

function idOf(check: string, s: Subject): string {
  return [check, s.feature, s.item ?? '', s.against ?? ''].join('/');
}

export function verdict(check: string, subject: Subject, working: Working, minimum: number, at: Point | null): Verdict {
  const typical = leavesOf(working).some((l: Leaf) => !isMeasured(l));
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', about: [], at, working, missing: [], typical, ...judge(working, minimum) };
}

export function missingVerdict(check: string, subject: Subject, missing: readonly Target[], minimum: number, at: Point | null = null): Verdict {
  return { id: idOf(check, subject), check, choice: '', subject, unit: 'mm', about: [], at, working: null, missing, typical: false, ...notMeasured(minimum) };
}

/** A size of the part is not known: nothing can be said before it is stated. */
export function lackingVerdict(
  check: string,
  subject: Subject,
  {
    lacks,
    missing,
    minimum,
    at,
  }: { readonly lacks: readonly Lacking[]; readonly missing: readonly Target[]; readonly minimum: number; readonly at: Point | null },
): Verdict {
  return { ...missingVerdict(check, subject, missing, minimum, at), lacks };
}

/** A comparison of whole numbers: enough or not. */
export function countVerdict(check: string, subject: Subject, has: number, needs: number): Verdict {
  return {
    id: idOf(check, subject),
    check,
    choice: '',
    subject,
    unit: 'count',
    about: [],
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
