import { evaluatePlan, ofChoice, type Choice, type Evaluation, type Plan, type PlanState } from '../check/index.js';
import { cuttingFor } from '../cut/index.js';
import { clearToCut, type GateRows, type GateVerdict, type Tired } from '../gate/index.js';
import type { Said } from './clearance.js';
import { gateGround, gateInput, type GateGround } from './gate-input.js';
import type { JobInHand } from './in-hand.js';

/** A decision that is to be cleared, on what somebody said. */
export interface CutToJudge {
  readonly decision: string;
  readonly choice: Choice;
  readonly plan: Plan;
  readonly state: PlanState;
  readonly said: Said;
  readonly today: Date;
  readonly tired: Tired | null;
}

/** Works the verdicts on a choice out, and judges by them whether its wood may be cut. */
export function judgeGate(
  rows: GateRows,
  j: JobInHand,
  { decision, choice, plan, state, said, today, tired }: CutToJudge,
): { readonly evaluation: Evaluation; readonly gate: GateVerdict } {
  const ground = groundOf(rows, j, { decision, choice, plan, state, today, tired });
  return { evaluation: ground.evaluation, gate: clearToCut(gateInput(ground, said)) };
}

/** What the gate asks of a decision, with the verdicts on its choice worked out. */
export function groundOf(rows: GateRows, j: JobInHand, { decision, choice, plan, state, today, tired }: Omit<CutToJudge, 'said'>): GateGround {
  const evaluation = ofChoice(evaluatePlan(rows, state, plan), choice.id);
  return gateGround(rows, j, { decision, choice, evaluation, state, cutting: cuttingFor(rows, state, choice), today, tired });
}
