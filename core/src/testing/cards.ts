import type { Choice, PlanState } from '../check/index.js';
import type { BenchInput, StepCard } from '../gate/index.js';
import type { Hole } from '../instrument/index.js';
import type { Act, OperationKind } from '../operation/index.js';
import { plainAnatomy, plainState, plainTools } from './plan.js';
import { noBench, operationOf } from './work.js';

export const planned = (value: number) => ({ value, limit: 0.2, basis: { kind: 'planned' as const } });
const drills = { id: 'set', kind: 'drills' as const, name: 'Set', system: 'metric' as const, from: 3, to: 10 };

/** The plain instrument with holes in it, and a set of drills. */
export function stateWith(holes: readonly Hole[] = [], more: Partial<PlanState> = {}): PlanState {
  const s = plainState({ ...plainAnatomy(), holes });
  return { ...s, tools: [...plainTools, drills], ...more };
}

/** What a card is drawn for; the plain instrument and the pickup route where nothing is said. */
export interface Given {
  readonly does?: readonly Act[];
  readonly choice?: Choice | null;
  readonly state?: PlanState;
  readonly log?: BenchInput['log'];
  readonly features?: readonly string[];
}

/** The cards of a kind of work. */
export function cards(kind: OperationKind, { does = [], choice = null, state = stateWith(), log = [], features = ['f'] }: Given = {}): readonly StepCard[] {
  const operation = operationOf(kind, { does, at: { features, cavities: ['route'], zones: ['body top'], holes: [] } });
  const choices: Readonly<Record<string, Choice>> = choice ? { d: choice } : {};
  return noBench.cardsOf(operation, { state, job: 'j', choices, operations: [], waivers: [], log, agreed: [], cleared: [], unlooked: [] });
}
