import type { Change, Lapsed } from '../instrument/index.js';
import type { OperationKind } from './rows.js';

/** One thing done to an instrument. */
export type Act = Change;

export type Aspect = 'anatomy' | 'circuit' | 'strung' | 'surface';

/** What an operation is made from; a row also names the decision behind it. */
export interface Source {
  readonly of: 'choice' | 'finding' | 'hand' | 'job';
  readonly id: string;
}

/** What an operation of a kind does to an instrument. */
export interface WorkItem {
  readonly kind: OperationKind;
  readonly does: readonly Act[];
}

/** Work that something wants: the operation owns what it does. */
export interface Work extends WorkItem {
  /** Unique within its source. */
  readonly key: string;
  readonly subject: { readonly aspect: Aspect; readonly id: string; readonly part?: string };
  /** Readings that no longer stand once it is done; a field that is missing matches all. */
  readonly lapses: readonly Lapsed[];
}

export type OperationState = 'proposed' | 'ready' | 'doing' | 'done' | 'failed' | 'dropped';

/** Work that can be scheduled: a row, and what it does. */
export interface Operation extends Work {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly source: Source;
  readonly state: OperationState;
  /** The technician's own place in the order; null while the rules decide. */
  readonly rank: number | null;
}

/** Has work on it begun? Then it is not made anew nor taken back. */
export function hasStarted(o: { readonly state: OperationState }): boolean {
  return o.state === 'doing' || o.state === 'done' || o.state === 'failed';
}

/** What a piece of work is called among what is done: its source and its key. */
export function workKey(source: string, key: string): string {
  return `${source}/${key}`;
}

/** What is done of some operations, by source and key. */
export function doneOf(operations: readonly Operation[]): ReadonlySet<string> {
  return new Set(operations.flatMap((o) => (o.state === 'done' ? [workKey(o.source.id, o.key)] : [])));
}

/** The acts of one kind among what is done. */
export function actsOf<K extends Act['kind']>(does: readonly Act[], kind: K): readonly Extract<Act, { readonly kind: K }>[] {
  return does.filter((a): a is Extract<Act, { readonly kind: K }> => a.kind === kind);
}
