import type { Aspect, Change, Lapsed } from '../instrument/index.js';
import type { OwnWork } from './own-work.js';
import type { Phase } from './row.js';
import { operationRow, type OperationKind, type OperationRows } from './rows.js';

/** One thing done to an instrument. */
export type Act = Change;

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

/** Where chips fall and what lies together: cutting in one leaves the others alone. */
export type Zone = 'body top' | 'body back' | 'neck' | 'headstock';

/** Where work is done: the features and cavities that it touches, the zones that they lie in, and the kinds of the holes among them. */
export interface WorkPlace {
  readonly features: readonly string[];
  readonly cavities: readonly string[];
  readonly zones: readonly Zone[];
  readonly holes: readonly string[];
}

/** A state of something on the bench, at a feature or of the whole instrument: any of these. */
export interface BenchFact {
  readonly of: string;
  readonly at?: string;
  readonly is: readonly string[];
}

/** Where work is done, and what it asks of the bench and leaves there. */
export interface Placed {
  readonly at: WorkPlace;
  readonly bench: { readonly needs: readonly BenchFact[]; readonly makes: readonly BenchFact[] };
}

/** Work that something wants: the operation owns what it does. */
export interface Work extends WorkItem, Placed {
  /** Unique within its source. */
  readonly key: string;
  readonly subject: { readonly aspect: Aspect; readonly id: string; readonly part?: string };
  /** Readings that no longer stand once it is done; a field that is missing matches all. */
  readonly lapses: readonly Lapsed[];
}

export type OperationState = 'proposed' | 'ready' | 'doing' | 'done' | 'failed' | 'dropped';

/** Work that can be scheduled: a row, and what it does. Where it is done follows from the instrument each time. */
export interface Operation extends Omit<Work, keyof Placed> {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly source: Source;
  readonly state: OperationState;
  /** The technician's own place in the order; null while the rules decide. */
  readonly rank: number | null;
  /** Put in by hand. */
  readonly own?: OwnWork;
}

/** The same with where it is done. */
export type PlacedOperation = Operation & Placed;

/** The stage that an operation belongs to: its kind's, or where whoever put it in wants it. */
export function phaseOf(rows: Pick<OperationRows, 'operations'>, { kind, own }: Pick<Operation, 'kind' | 'own'>): Phase {
  return own?.phase ?? operationRow(rows, kind).phase;
}

/** Was it put in by hand? Then no plan makes it, and no decision owns it. */
export const isByHand = (o: { readonly source: Source }): boolean => o.source.of === 'hand';

/** Has work on it begun? Then it is neither made again nor taken back. */
export function hasStarted(o: { readonly state: OperationState }): boolean {
  return o.state === 'doing' || o.state === 'done' || o.state === 'failed';
}

/** Is it work that is stored as it was made? What is changed on the bench is not until it has begun, and keeps no decision from being taken back. */
export function isOwn(o: { readonly source: Source }): boolean {
  return o.source.of !== 'job';
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
