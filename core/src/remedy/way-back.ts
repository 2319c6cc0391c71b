import { barePickup, evaluateChoice, isAbout, type Evaluation, type PlanState, type PickupChoice, type Verdict } from '../check/index.js';
import type { Anatomy, PickupPosition } from '../instrument/index.js';
import { takesFrom } from '../operation/index.js';

/** What going back to the part that was there would need, judged in the anatomy that a plan would leave. */
export interface WayBack {
  readonly part: string | null;
  /** Put the insert back into its opening. */
  readonly needsInsert: boolean;
  /** Wood was cut: it cannot be put back. */
  readonly woodCut: boolean;
  /** The new part itself was cut: it cannot be returned. */
  readonly partCut: boolean;
  /** The window of a plate was filed wider; the wood is as it was. */
  readonly plateCut: boolean;
  readonly verdicts: readonly Verdict[];
  /** The old part goes in again without a clash. */
  readonly works: boolean;
}

/** Evaluates the old part in the new anatomy. The wiring is the old one again, so its leads are not asked about. */
export function wayBack(state: PlanState, choice: PickupChoice, after: Evaluation): WayBack {
  const before = state.anatomy.positions.find((p) => p.id === choice.position);
  if (!before) throw new RangeError(`nothing here is called ${choice.position}`);
  const wasFitted = state.anatomy.plates.find((p) => p.id === before.plate)?.openings.find((o) => o.id === before.opening)?.insert?.fitted ?? false;
  const back = evaluateChoice(
    { ...state, anatomy: withoutSpacer(after.anatomy, before) },
    { ...barePickup(choice), part: before.part, insertFitted: wasFitted, leadsNeeded: 0 },
  );
  const work = choice.work ?? [];
  const verdicts = back.verdicts.filter((v) => isAbout(v.check, 'pickupFits'));
  return {
    part: before.part,
    needsInsert: wasFitted && !choice.insertFitted,
    woodCut: choice.route !== null || takesFrom(work, 'wood'),
    partCut: takesFrom(work, 'part'),
    plateCut: takesFrom(work, 'plate'),
    verdicts,
    works: verdicts.every((v) => v.class === 'well' || v.class === 'thin'),
  };
}

/** The spacer comes out with the part that it was made for. */
function withoutSpacer(after: Anatomy, before: PickupPosition): Anatomy {
  if (after.positions.every((p) => p.id !== before.id || p.raised === before.raised)) return after;
  return { ...after, positions: after.positions.map((p) => (p.id === before.id ? before : p)) };
}
