import { evaluateChoice, type Evaluation, type PickupChoice, type PlanState } from '../check/index.js';

/** What went wrong, of the kinds that have a number. */
export type Mishap = { readonly kind: 'tooDeep'; readonly pocket: string; readonly depth: number } | { readonly kind: 'slipped' } | { readonly kind: 'other' };

/** What can be done now. */
export interface WayOn {
  readonly id: 'carryOn' | 'acceptThin' | 'stopAndFill' | 'shimUnderPart';
  readonly possible: boolean;
}

/** The plan as the mishap made it, judged again. */
export interface Consequence {
  readonly choice: PickupChoice;
  readonly evaluation: Evaluation;
  readonly waysOn: readonly WayOn[];
}

/** A pocket found too deep changes the plan's route to what is now in the wood, is evaluated again and offers ways on. A floor that was thin before is not held against it. */
export function consequenceOf(state: PlanState, choice: PickupChoice, mishap: Mishap): Consequence {
  const changed = mishap.kind === 'tooDeep' ? asDeepAs(choice, mishap.pocket, mishap.depth) : choice;
  const evaluation = evaluateChoice(state, changed);
  const floors = evaluation.verdicts.filter((v) => v.check === 'floor');
  const broken = floors.some((v) => v.class === 'clashes' || v.class === 'tooClose');
  const before = new Set(
    evaluateChoice(state, choice)
      .verdicts.filter((v) => v.class === 'thin')
      .map((v) => v.clearance),
  );
  const thin = floors.some((v) => v.class === 'thin' && !before.has(v.clearance));
  return {
    choice: changed,
    evaluation,
    waysOn: [
      { id: 'carryOn', possible: !broken && !thin },
      { id: 'acceptThin', possible: !broken && thin },
      { id: 'shimUnderPart', possible: !broken && mishap.kind === 'tooDeep' },
      { id: 'stopAndFill', possible: true },
    ],
  };
}

/** The choice with a pocket as deep as it came out: of its route, or of a floor that was only to be cut deeper. */
function asDeepAs(choice: PickupChoice, pocket: string, depth: number): PickupChoice {
  const { route, work } = choice;
  return {
    ...choice,
    route: route && { ...route, pockets: route.pockets.map((p) => (p.id === pocket ? { ...p, depth } : p)) },
    ...(work ? { work: work.map((w) => (w.kind === 'setDepth' && w.pocket === pocket ? { ...w, depth: { ...w.depth, value: depth } } : w)) } : {}),
  };
}
