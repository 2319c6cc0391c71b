import { isFitted, partFound, type Choice, type PlanState } from '../check/index.js';
import { freeOf } from '../part/index.js';
import type { GateRows } from './card.js';
import type { Need } from '../work/index.js';

/** Is the part of a choice there: in a drawer and kept for nobody else, or in its place already? */
export function isPartHere(rows: GateRows, decision: string, choice: Choice, state: PlanState): boolean {
  return (
    choice.part === null ||
    isFitted(rows, choice, state) ||
    partFound(rows, state.anatomy, choice) === choice.part ||
    freeOf(state.stock, choice.part, decision) > 0
  );
}

/** Wood is cut for a part that lies on the bench, where it can be: what its sheet says is tried on it first. None where no part goes in. */
export function partInHand(rows: GateRows, decision: string, choice: Choice, state: PlanState): readonly Need[] {
  const { part } = choice;
  if (part === null || choice.returns === true) return [];
  const name = state.parts[part]?.name ?? part;
  return [{ need: 'part', size: null, has: isPartHere(rows, decision, choice, state) ? name : null, dull: false }];
}
