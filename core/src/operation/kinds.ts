import { ROWS } from './kinds/index.js';
import type { OperationRow } from './row.js';

export type OperationKind = (typeof ROWS)[number]['kind'];

/** Every kind of operation by its name. */
export const OPERATIONS = Object.fromEntries(ROWS.map((r) => [r.kind, r])) as unknown as Readonly<Record<OperationKind, OperationRow>>;

/** Does it take what cannot be put back? Then it needs clear to cut. */
export function isIrreversible(kind: OperationKind): boolean {
  return OPERATIONS[kind].undo === 'no';
}

/** Does some work take away wood, of a plate, or of the part itself? */
export function takesFrom(work: readonly { readonly kind: OperationKind }[], what: 'wood' | 'plate' | 'part'): boolean {
  return work.some((w) => OPERATIONS[w.kind].takesFrom === what);
}
