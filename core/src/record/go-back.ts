import type { Choice, PlanState } from '../check/index.js';
import { applyChanges, compareAnatomies, type Anatomy } from '../instrument/index.js';
import type { UndoStep } from '../job/index.js';
import { hasStarted, operationRow, type Act, type OperationKind, type OperationState } from '../operation/index.js';
import { waysOf, type RemedyRows } from '../remedy/index.js';
import { plannedWork } from '../work/index.js';
import { actsDone, type DepthRead } from './as-left.js';
import { placesWorkedOn } from './places-worked-on.js';
import { undoRecipe } from './undo-recipe.js';

/** An operation as far as it was done, with what was read and shown in it. */
export interface WorkSoFar {
  readonly kind: OperationKind;
  readonly does: readonly Act[];
  readonly state: OperationState;
  /** Its logged steps, oldest first: their kinds and the drill that each one named, mm. */
  readonly steps: readonly { readonly kind: string; readonly drill: number | null }[];
  readonly depths: readonly DepthRead[];
  /** The newest ledger entry; empty where it has not started. */
  readonly entry: string;
}

/** What leads back from a decision whose work has begun. */
export interface Return {
  /** What was there before, and what is changed so that it goes in again. */
  readonly choice: Choice;
  readonly operations: readonly OperationKind[];
  /** Working time, min. */
  readonly minutes: number;
  /** What stays for good. */
  readonly stays: readonly UndoStep[];
  /** The instrument with what was cut so far, also by operations that were not brought to their end. */
  readonly anatomy: Anatomy;
}

/** What a way back is worked out from: `was` is the anatomy that the decision was made on. */
export interface GoBackInput {
  readonly decision: string;
  readonly chosen: Choice;
  readonly work: readonly WorkSoFar[];
  readonly was: Anatomy;
  /** The instrument is in it as it is now. */
  readonly state: PlanState;
}

/**
 * The operations that lead back to what was there when a decision was made, the choice that they make, and what stays.
 * What of a route was not read is not measured, never guessed. Throws RangeError when the place of the choice was not there.
 */
export function goBack(rows: RemedyRows, { decision, chosen, work, was, state }: GoBackInput): Return {
  const begun = work.filter(hasStarted);
  const anatomy = applyChanges(
    state.anatomy,
    begun.flatMap((w) => brokenOff(rows, w, decision, state.anatomy)),
  );
  const started = (kind: OperationKind): boolean => begun.some((w) => w.kind === kind);
  const choice = waysOf(rows, chosen).backFrom({ started, was, after: anatomy }, chosen);
  const back = plannedWork(rows, { ...state, anatomy, done: new Set() }, choice);
  const places = placesWorkedOn(rows, chosen, anatomy);
  const stays = undoRecipe(compareAnatomies(was, anatomy)).filter((s) => !s.possible && places.has(s.subject));
  const cutPart: readonly UndoStep[] =
    started('trimPart') && !stays.some((s) => s.kind === 'cannotReturnPart')
      ? [{ kind: 'cannotReturnPart', subject: chosen.id, part: chosen.part, possible: false }]
      : [];
  return { choice, operations: back.map((w) => w.kind), minutes: back.reduce((sum, w) => sum + w.minutes, 0), stays: [...stays, ...cutPart], anatomy };
}

const wasRead = (w: WorkSoFar, level: string): boolean => w.depths.some((d) => level.startsWith(`${d.level} `));

/** What an operation that was not brought to its end has done to the instrument: nothing until the step that does it was logged. */
function brokenOff(rows: RemedyRows, w: WorkSoFar, decision: string, now: Anatomy): readonly Act[] {
  const { takes, levels } = operationRow(rows, w.kind);
  if (w.state === 'done' || (w.depths.length === 0 && !w.steps.some((s) => s.kind === takes))) return [];
  const acts = actsDone({ decision, does: w.does, entry: w.entry, depths: w.depths.toReversed() }, now);
  if (levels === 'in turn') return acts.flatMap((act) => onlyRead(act, w));
  if (levels === 'together')
    return acts.map((act) => (act.kind === 'addLevels' ? { ...act, levels: act.levels.map((p) => (wasRead(w, p.id) ? p : { ...p, depth: null })) } : act));
  const drill = w.steps.findLast((s) => s.drill !== null)?.drill ?? Infinity;
  return acts.map((act) => (act.kind === 'sizeHole' ? { ...act, diameter: { ...act.diameter, value: Math.min(act.diameter.value, drill) } } : act));
}

/** Floors and wells of which the depth was read; the others were not begun. What comes with a cut comes with the first that was. */
function onlyRead(act: Act, w: WorkSoFar): readonly Act[] {
  switch (act.kind) {
    case 'setDepth':
      return wasRead(w, `${act.level} `) ? [act] : [];
    case 'addCavity':
      return act.cavity.levels.some((p) => wasRead(w, `${p.id} `)) ? [act] : [];
    case 'addLevels': {
      const levels = act.levels.filter((p) => wasRead(w, p.id));
      return levels.length > 0 ? [{ ...act, levels }] : [];
    }
    default:
      return w.depths.length > 0 ? [act] : [];
  }
}
