import { applyChanges, type Anatomy, type Change } from '../instrument/index.js';
import { byGravity } from '../measure/index.js';
import { behindWindow } from './behind-window.js';
import { floors } from './floor.js';
import { hiddenEdge } from './hidden-edge.js';
import { leads } from './leads.js';
import { partInRoute } from './part-in-route.js';
import { placeOf, type PlaceOfPart, type PlanState } from './place.js';
import { polesUnderStrings } from './poles-under-strings.js';
import type { Verdict } from './verdict.js';
import { edgeOfBody, walls } from './wall.js';
import { windowGap } from './window-gap.js';

/** Everything that follows from a plan with some changes. */
export interface Evaluation {
  readonly anatomy: Anatomy;
  /** Gravest first. */
  readonly verdicts: readonly Verdict[];
}

const CHECKS: readonly ((place: PlaceOfPart) => readonly Verdict[])[] = [
  partInRoute,
  windowGap,
  (p) => [behindWindow(p)],
  hiddenEdge,
  walls,
  edgeOfBody,
  floors,
  polesUnderStrings,
  leads,
];

/**
 * The only way in: applies the changes and runs every check on the given position.
 * Throws RangeError when a change, the position or its part is not there. Pure; memos go by the identity of what is passed in.
 */
export function evaluate(state: PlanState, position: string, changes: readonly Change[] = []): Evaluation {
  const anatomy = changes.length === 0 ? state.anatomy : applyChanges(state.anatomy, changes);
  const place = placeOf({ ...state, anatomy }, position);
  const verdicts = CHECKS.flatMap((check) => [...check(place)]).sort(byGravity);
  return { anatomy, verdicts };
}
