import { actsOfChoice, stillToDo, type CheckRows, type Choice, type PlanState } from '../check/index.js';
import { cutSetOf } from '../gate/index.js';
import { applyChanges, type Anatomy, type Change, type Level } from '../instrument/index.js';
import type { Act } from '../operation/index.js';
import { beyondLine, type Beyond } from './beyond-line.js';

/** A depth that was read while the work was done. */
export interface DepthRead {
  readonly level: string;
  readonly value: number;
  readonly limit: number;
  /** The ledger entry it stands in. */
  readonly entry: string;
}

/** An operation that was finished: what it does, and what was read in it, newest first. */
export interface DoneWork {
  readonly decision: string;
  readonly does: readonly Act[];
  readonly entry: string;
  readonly depths: readonly DepthRead[];
}

/** The instrument after a finished operation: what the operation does, with the depths that were read in the place of the planned ones. */
export function asLeft(work: DoneWork, anatomy: Anatomy): Anatomy {
  return applyChanges(anatomy, actsDone(work, anatomy));
}

/** What a finished operation did, on the word of its entry. */
export function actsDone(work: DoneWork, anatomy: Anatomy): readonly Act[] {
  // a hole or a cavity that was begun is there already
  return work.does.map((act) => asDone(act, work)).flatMap((act) => (act.kind === 'addHole' || act.kind === 'addCavity' ? stillToDo(anatomy, act) : [act]));
}

function asDone(act: Act, work: DoneWork): Act {
  switch (act.kind) {
    case 'addLevels':
      return { ...act, levels: act.levels.map((p) => asCut(p, work)) };
    case 'addCavity':
      return { ...act, cavity: { ...act.cavity, levels: act.cavity.levels.map((p) => ({ ...asCut(p, work), id: p.id })) } };
    case 'setDepth': {
      const read = work.depths.find((d) => d.level === act.level);
      return read ? { ...act, depth: { value: read.value, limit: read.limit, basis: { kind: 'work', entry: read.entry } } } : onEntry(act, work.entry);
    }
    default:
      return onEntry(act, work.entry);
  }
}

/** What was planned rests on the entry of its work from then on; what was known another way stays as well known. */
function onEntry<T>(x: T, entry: string): T {
  if (Array.isArray(x)) return x.map((y: unknown) => onEntry(y, entry)) as T;
  if (typeof x !== 'object' || x === null) return x;
  if ((x as { readonly kind?: unknown }).kind === 'planned') return { kind: 'work', entry } as T;
  return Object.fromEntries(Object.entries(x).map(([k, v]) => [k, onEntry(v as unknown, entry)])) as T;
}

/** A planned level as it was cut: the depth that was read, or the planned one with its planned limit. */
function asCut(p: Level, work: DoneWork): Level {
  const read = work.depths.find((d) => d.level === p.id);
  const cut = onEntry(p, work.entry);
  const depth = read ? { value: read.value, limit: read.limit, basis: { kind: 'work', entry: read.entry } as const } : cut.depth;
  return { ...cut, id: `${p.id} ${work.decision.slice(0, 8)}`, set: cutSetOf(work.decision), depth };
}

/** A slip, on the word of its entry. */
export interface Slip {
  readonly decision: string;
  readonly choice: Choice;
  readonly gone: Beyond;
  readonly entry: string;
}

/** The instrument after wood went beyond the line: what is gone stands beside what was planned, on the word of the entry. Unchanged where nothing tells which wood. */
export function asSlipped(rows: CheckRows, { decision, choice, gone, entry }: Slip, state: PlanState): Anatomy {
  const { anatomy } = state;
  const left = beyondLine(rows, state, choice, gone);
  if (!left) return anatomy;
  const basis = { kind: 'work', entry } as const;
  const { level } = left;
  const cut = {
    ...level,
    id: `${level.id} ${entry.slice(0, 8)}`,
    set: cutSetOf(decision),
    outline: { ...level.outline, basis },
    depth: level.depth && { ...level.depth, basis },
  };
  const cavity = actsOfChoice(choice).flatMap((w) => (w.kind === 'addCavity' && w.cavity.id === left.cavity ? [w.cavity] : []))[0];
  const begun = anatomy.cavities.some((c) => c.id === left.cavity);
  const change: Change =
    begun || !cavity ? { kind: 'addLevels', cavity: left.cavity, levels: [cut] } : { kind: 'addCavity', cavity: { ...cavity, levels: [cut] } };
  return applyChanges(anatomy, [change]);
}
