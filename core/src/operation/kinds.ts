import { ROWS } from './kinds/index.js';
import type { OperationRow } from './row.js';

export type OperationKind = (typeof ROWS)[number]['kind'];

/** Every kind of operation by its name. */
export const OPERATIONS = Object.fromEntries(ROWS.map((r) => [r.kind, r])) as unknown as Readonly<Record<OperationKind, OperationRow>>;

/** Does it take what cannot be put back? Then it needs clear to cut. */
export function isIrreversible(kind: OperationKind): boolean {
  return OPERATIONS[kind].undo === 'no';
}
