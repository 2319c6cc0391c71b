import { bound, HOUSE, plannedWork, worksOf } from '../house/index.js';
import type { Choice, PlanState } from '../check/index.js';
import type { Act, OperationKind, PlacedOperation } from '../operation/index.js';
import { asLeft, type DepthRead } from '../record/index.js';
import type { Anatomy } from '../instrument/index.js';

/** The house without what lies on the bench: nobody takes the strings off before a spec looks at a card. */
export const noBench = bound({ ...HOUSE, bench: [] });

/** An operation as it stands in a job, with nothing to do but what a spec says. */
export function operationOf(kind: OperationKind, more: Partial<PlacedOperation> = {}): PlacedOperation {
  return {
    id: kind,
    job: 'j',
    decision: 'd',
    source: { of: 'choice', id: 'c' },
    key: kind,
    kind,
    subject: { aspect: 'anatomy', id: 'f' },
    does: [],
    lapses: [],
    state: 'proposed',
    rank: null,
    at: { features: ['f'], cavities: ['route'], zones: ['body top'], holes: [] },
    bench: { needs: [], makes: [] },
    ...more,
  };
}

/** What an operation of a choice does; nothing where the choice has no such work. */
export function doesOf(kind: OperationKind, choice: Choice, state: PlanState): readonly Act[] {
  const planned = plannedWork(state, choice).find((w) => w.kind === kind);
  return (planned ?? worksOf(choice, state).find((w) => w.kind === kind))?.does ?? [];
}

/** The instrument after one operation of a choice. */
export function leftBy(
  kind: OperationKind,
  choice: Choice,
  state: PlanState,
  { decision = 'd', entry = 'e', depths = [] }: { readonly decision?: string; readonly entry?: string; readonly depths?: readonly DepthRead[] } = {},
): Anatomy {
  return asLeft({ decision, does: doesOf(kind, choice, state), entry, depths }, state.anatomy);
}
