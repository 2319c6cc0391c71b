import type { Anatomy, Cavity } from '../instrument/index.js';
import type { OperationKind, WorkItem } from '../operation/index.js';
import type { Target } from '../quantity/index.js';
import type { Choice } from './choice.js';
import type { Ground } from './works.js';
import type { PlanState } from './place.js';

/** A kind of choice: what it is about and what it comes to; the only place that says so. */
export interface ChoiceRow<C extends Choice = Choice> {
  readonly kind: string;
  /** Is its place still on the instrument? */
  isThere(anatomy: Anatomy, choice: C): boolean;
  /** The ids of what it is about, the place itself first. */
  places(choice: C, anatomy: Anatomy): readonly [string, ...string[]];
  /** What must be measured or traced before anything can be said: not measured, never a clash. */
  missing?(state: PlanState, choice: C): readonly Target[];
  /** Its work, in the order in which it changes the instrument. Throws RangeError when its place is not there. */
  works(ground: Ground, choice: C): readonly WorkItem[];
  /** The choices whose work goes before its own. */
  restsOn?(choice: C): readonly string[];
  /** The same with nothing done for it: its place and its part. */
  bare(choice: C): C;
  /** The operation by which its part goes in; null: it has none. */
  readonly fits: OperationKind | null;
  /** The part that sits there now; null where nothing does. */
  found(anatomy: Anatomy, choice: C): string | null;
  /** The cavity that its route is cut into. */
  cavity?(anatomy: Anatomy, choice: C): Cavity | null;
}
