import type { Act, OperationKind, WorkItem } from '../operation/index.js';

/** Work that leads back, where it is wanted. */
export const item = (wanted: boolean, kind: OperationKind, ...does: readonly Act[]): readonly WorkItem[] => (wanted ? [{ kind, does }] : []);

export const NOT_RAISED = { value: 0, limit: 0, basis: { kind: 'planned' } } as const;

/** What is to be drilled to an old size is planned, however well that size was known. */
export const plannedAgain = <T extends { readonly basis: unknown }>(d: T): T => ({ ...d, basis: { kind: 'planned' } });
