import type { OperationKind, OperationRows, StepKind } from '../operation/index.js';

export type Strength = 'must' | 'should';
export type ReasonId = string;

export interface PrecedeRule {
  readonly id: string;
  readonly type: 'precede';
  readonly before: readonly OperationKind[];
  readonly after: readonly OperationKind[];
  readonly strength: Strength;
}

/** `after` needs `before` to be in the plan at all. */
export interface RequireRule {
  readonly id: string;
  readonly type: 'require';
  readonly needs: OperationKind;
  readonly for: readonly OperationKind[];
  readonly strength: Strength;
}

/** A state must hold before the work begins. */
export interface GateRule {
  readonly id: string;
  readonly type: 'gate';
  readonly kinds: readonly OperationKind[];
  readonly state: 'clearToCut' | 'partInHand';
  readonly strength: Strength;
}

/** An act inside an operation that comes right before certain steps. */
export interface StepRule {
  readonly id: string;
  readonly type: 'step';
  readonly insert: StepKind;
  readonly before: readonly StepKind[];
  readonly kinds: readonly OperationKind[];
  readonly strength: Strength;
}

export type Rule = PrecedeRule | RequireRule | GateRule | StepRule;

/** What is registered of order. */
export interface OrderRows extends Pick<OperationRows, 'operations'> {
  readonly rules: readonly Rule[];
}
