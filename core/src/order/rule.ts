import type { OperationKind, OperationRow, OperationRows, Phase, PlacedOperation, Station, StepKind } from '../operation/index.js';

export type Strength = 'must' | 'should';

/** How near two operations must lie for a rule between them: made for one decision, at one feature, in one cavity, where the same chips fall, or anywhere in the job. */
export type Scope = 'decision' | 'feature' | 'cavity' | 'zone' | 'job';

/** Which operations: of every list that is given one must be met; nothing given is every operation. */
export interface Which {
  readonly kinds?: readonly OperationKind[];
  readonly phases?: readonly Phase[];
  readonly undo?: readonly OperationRow['undo'][];
  readonly stations?: readonly Station[];
  /** It is done at a hole of such a kind. */
  readonly holes?: readonly string[];
}

interface RuleBase {
  readonly id: string;
  readonly strength: Strength;
  readonly to: Which;
}

/** `from` comes before `to`. */
export interface PrecedeRule extends RuleBase {
  readonly type: 'precede';
  readonly scope: Scope;
  readonly from: Which;
}

/** `to` needs `from` to be in the plan at all. */
export interface RequireRule extends RuleBase {
  readonly type: 'require';
  readonly scope: Scope;
  readonly from: Which;
}

/** A state must hold before the work begins. */
export interface GateRule extends RuleBase {
  readonly type: 'gate';
  readonly state: 'clearToCut' | 'partInHand' | 'ownerAgreed' | 'lookedAt';
}

/** So long after `from` nothing of `to` is done: it cures. */
export interface WaitRule extends RuleBase {
  readonly type: 'wait';
  readonly scope: Scope;
  readonly from: Which;
  readonly minutes: 'waitForGlue';
}

/** What a step rule asks of the part or the place before it puts its step in. */
export type ConditionId = 'threadInWood' | 'screwedDown';

/** An act inside an operation that comes right before certain steps. */
export interface StepRule extends RuleBase {
  readonly type: 'step';
  readonly insert: StepKind;
  readonly before: readonly StepKind[];
  readonly condition?: ConditionId;
}

/** A habit: shown, not enforced. */
export interface TidyRule extends RuleBase {
  readonly type: 'tidy';
}

export type Rule = PrecedeRule | RequireRule | GateRule | WaitRule | StepRule | TidyRule;

/** What is registered of order. */
export interface OrderRows extends Pick<OperationRows, 'operations'> {
  readonly rules: readonly Rule[];
}

/** Does a rule mean this operation? A kind that nobody registered is meant by its name alone. */
export function isMeant({ operations }: Pick<OrderRows, 'operations'>, which: Which, o: Pick<PlacedOperation, 'kind' | 'at' | 'own'>): boolean {
  const row = operations[o.kind];
  const of = <T>(list: readonly T[] | undefined, value: T | undefined): boolean => !list || (value !== undefined && list.includes(value));
  return (
    of(which.kinds, o.kind) &&
    of(which.phases, o.own?.phase ?? row?.phase) &&
    of(which.undo, row?.undo) &&
    of(which.stations, row?.station) &&
    (!which.holes || o.at.holes.some((h) => which.holes?.includes(h)))
  );
}

/** Do two operations lie as near to one another as a rule between them asks? */
export function isNear(scope: Scope, a: PlacedOperation, b: PlacedOperation): boolean {
  const share = (p: readonly string[], q: readonly string[]): boolean => p.some((x) => q.includes(x));
  switch (scope) {
    case 'decision':
      return a.decision === b.decision;
    case 'feature':
      return share(a.at.features, b.at.features);
    case 'cavity':
      return share(a.at.cavities, b.at.cavities);
    case 'zone':
      return share(a.at.zones, b.at.zones);
    case 'job':
      return true;
  }
}
