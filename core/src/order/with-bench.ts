import { workKey, type BenchFact, type OperationState, type PlacedOperation } from '../operation/index.js';
import type { BenchRow, CheckRows } from '../check/index.js';

/** How things are on the bench: by what they are, and where. */
export type BenchState = ReadonlyMap<string, string>;

/** A change of the bench that an order asks for, before its operation is made of it. */
export interface BenchChange {
  /** Fact and the first operation that asks for it: a state may be asked for more than once. */
  readonly key: string;
  readonly kind: string;
  readonly of: string;
  readonly at: string | null;
  /** The operation that asks for it, or the last one that needed it otherwise. */
  readonly by: PlacedOperation;
  readonly makes: BenchFact;
}

const thing = ({ of, at }: Pick<BenchFact, 'of' | 'at'>): string => (at === undefined ? of : `${of} ${at}`);

/** What a key of a change says: which thing, and into what state. 'strings off/…' → strings, off. */
export function changeOf(rows: Pick<CheckRows, 'bench'>, key: string): { readonly thing: string; readonly state: string } | null {
  const [what = ''] = key.split('/');
  for (const b of rows.bench)
    for (const state of Object.keys(b.states))
      if ((what === `${b.of} ${state}` || what.startsWith(`${b.of} `)) && what.endsWith(` ${state}`))
        return { thing: what.slice(0, what.length - state.length - 1), state };
  return null;
}

/**
 * The bench as changes that are done have left it, oldest first; what nobody changed is as its row begins.
 * `finished`: when each operation was finished, by its id.
 */
export function benchState(
  rows: Pick<CheckRows, 'bench'>,
  operations: readonly { readonly id: string; readonly key: string; readonly state: OperationState; readonly source: { readonly of: string } }[],
  finished: ReadonlyMap<string, string>,
): BenchState {
  const done = operations
    .filter((o) => o.source.of === 'job' && o.state === 'done')
    .sort((a, b) => (finished.get(a.id) ?? '').localeCompare(finished.get(b.id) ?? '') || a.key.localeCompare(b.key));
  const state = new Map<string, string>();
  for (const o of done) {
    const change = changeOf(rows, o.key);
    if (change) state.set(change.thing, change.state);
  }
  return state;
}

/** An order with the changes of the bench that it asks for. */
export type WithBench<T> = readonly (T | BenchChange)[];

/**
 * Puts in what is missing on the bench: each change right before the first operation that asks for it, into a state that serves as many of the following as can be,
 * and at the end everything back as it began. Strings slack for one pickup and off for the route of the next: off from the first on, on again once.
 */
export function withBench<T extends PlacedOperation>(rows: Pick<CheckRows, 'bench'>, ordered: readonly T[], held: BenchState): WithBench<T> {
  const open = ordered.filter((o) => o.state !== 'done' && o.state !== 'dropped');
  const now = new Map(held);
  const last = new Map<string, PlacedOperation>();
  const at = new Map<string, string | null>();
  const out: (T | BenchChange)[] = [];
  for (const o of ordered) {
    if (open.includes(o))
      for (const need of o.bench.needs) {
        const row = rows.bench.find((b) => b.of === need.of);
        if (!row) continue;
        const key = thing(need);
        last.set(key, o);
        at.set(key, need.at ?? null);
        if (need.is.includes(now.get(key) ?? row.start)) continue;
        // what has begun had what it asks for, whoever saw to it
        if (o.state === 'doing') {
          now.set(key, need.is[0] ?? row.start);
          continue;
        }
        const later = open.slice(open.indexOf(o)).flatMap((x) => x.bench.needs.filter((n) => thing(n) === key));
        const state = need.is.find((s) => later.every((n) => n.is.includes(s))) ?? need.is[0];
        if (state === undefined) continue;
        out.push(changeTo(row, need.at ?? null, state, o));
        now.set(key, state);
      }
    out.push(o);
  }
  return [...out, ...back(rows, now, last, at, ordered)];
}

function changeTo(row: BenchRow, at: string | null, state: string, by: PlacedOperation): BenchChange {
  const fact = { of: row.of, ...(at === null ? {} : { at }) };
  return { key: workKey(`${thing(fact)} ${state}`, by.id), kind: row.states[state] ?? '', of: row.of, at, by, makes: { ...fact, is: [state] } };
}

/** Everything back as it began, what came first last: the bridge before the strings. */
function back(
  rows: Pick<CheckRows, 'bench'>,
  now: BenchState,
  last: ReadonlyMap<string, PlacedOperation>,
  at: ReadonlyMap<string, string | null>,
  ordered: readonly PlacedOperation[],
): readonly BenchChange[] {
  return rows.bench.toReversed().flatMap((row) =>
    [...now].flatMap(([key, state]): readonly BenchChange[] => {
      const mine = key === row.of || key.startsWith(`${row.of} `);
      const by = last.get(key) ?? ordered.at(-1);
      if (!mine || state === row.start || !by) return [];
      return [changeTo(row, at.get(key) ?? (key === row.of ? null : key.slice(row.of.length + 1)), row.start, by)];
    }),
  );
}
