import type { Choice, Evaluation, Plan, PlanState } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';
import type { OperationKind } from '../operation/index.js';
import type { WorkRows } from '../work/index.js';
import type { Proposal } from './proposal.js';
import type { OwnerRequest } from './score.js';
import type { WayBack } from './way-back.js';

/** What is registered of the ways out. */
export interface RemedyRows extends WorkRows {
  readonly ways: Readonly<Record<string, ChoiceWays>>;
}

/** What ways out are sought on: the whole plan, and how things stand with nothing done for the choice. */
export interface WaysGround {
  readonly rows: RemedyRows;
  readonly state: PlanState;
  readonly plan: Plan;
  readonly now: Evaluation;
}

/** What was begun, and the instrument before and after it: what a way back from begun work is made from. */
export interface Begun {
  readonly started: (kind: OperationKind) => boolean;
  readonly was: Anatomy;
  readonly after: Anatomy;
}

/** The ways out of a kind of choice, and the way back from them. */
export interface ChoiceWays<C extends Choice = Choice> {
  readonly kind: string;
  /** `bare`: the choice with nothing done for it, which `now` of the ground is of. */
  proposals(ground: WaysGround, choice: C, bare: C): readonly Proposal<C>[];
  /** The choice with some remedies put into it. */
  with(choice: C, proposals: readonly Proposal[]): C;
  /** What its part costs, in the smallest coin: of some remedies together it is paid once. */
  price(ground: Pick<WaysGround, 'rows' | 'state'>, choice: C): number;
  /** How far a proposal is what the owner asked for, 0 to 1. `asked`: the part that was asked for. */
  owner(ground: Pick<WaysGround, 'rows' | 'state'>, choice: C, asked: string | null, request: OwnerRequest): number;
  /** The part that was there in the place as it would be left: does it go back, and was anything cut? */
  wayBack(ground: Pick<WaysGround, 'rows' | 'state'>, choice: C, after: Evaluation): WayBack;
  /** The choice that leads back from work that was begun. Throws RangeError when its place was not there. */
  backFrom(begun: Begun, chosen: C): C;
}

/** The ways out of a choice’s kind. Throws RangeError for a kind that nobody registered. */
export function waysOf({ ways }: Pick<RemedyRows, 'ways'>, { kind }: Choice): ChoiceWays {
  const row = ways[kind];
  if (!row) throw new RangeError(`no ways out for such a kind of choice: ${kind}`);
  return row;
}
