import { workKey, type BenchFact, type Operation, type PlacedOperation } from '../operation/index.js';
import type { BenchRow, CheckRows } from '../check/index.js';

/** The work that a change of the bench is made for. */
type AskedBy = Pick<PlacedOperation, 'id' | 'decision'>;

/** How things are on the bench, by what they are and where, and the change that left them so. */
export type BenchState = ReadonlyMap<string, { readonly is: string; readonly by: AskedBy }>;

/** A change of the bench that an order asks for, before its operation is made of it. */
export interface BenchChange {
  /** Fact and the first operation that asks for it: a state may be asked for more than once. */
  readonly key: string;
  readonly kind: string;
  readonly of: string;
  readonly at: string | null;
  /** The operation that asks for it, or the last one that needed it otherwise. */
  readonly by: AskedBy;
}

const thing = ({ of, at }: Pick<BenchFact, 'of' | 'at'>): string => (at === undefined ? of : `${of} ${at}`);

/** What a key of a change says: which thing, and into what state. 'strings off/…' → strings, off. */
export function changeOf(rows: Pick<CheckRows, 'bench'>, key: string): { readonly thing: string; readonly state: string } | null {
  const [what = ''] = key.split('/');
  for (const b of rows.bench)
    for (const state of Object.keys(b.states))
      if (what.startsWith(`${b.of} `) && what.endsWith(` ${state}`)) return { thing: what.slice(0, what.length - state.length - 1), state };
  return null;
}

/**
 * The bench as changes that are done have left it, oldest first, whoever asked for them and whether that is still wanted; what nobody changed is as its row begins.
 * `finished`: when each operation was finished, by its id.
 */
export function benchState(rows: Pick<CheckRows, 'bench'>, changes: readonly Operation[], finished: ReadonlyMap<string, string>): BenchState {
  const done = changes
    .filter((o) => o.state === 'done')
    .sort((a, b) => (finished.get(a.id) ?? '').localeCompare(finished.get(b.id) ?? '') || a.key.localeCompare(b.key));
  return new Map(
    done.flatMap((by) => {
      const change = changeOf(rows, by.key);
      return change ? [[change.thing, { is: change.state, by }] as const] : [];
    }),
  );
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
  const out: (T | BenchChange)[] = [];
  for (const o of ordered) {
    // what goes back in the end is of the last that needed it otherwise, done or not: it keeps its name while the job goes on
    if (o.state === 'done')
      for (const need of o.bench.needs) {
        const is = now.get(thing(need))?.is;
        if (is !== undefined && need.is.includes(is)) now.set(thing(need), { is, by: o });
      }
    if (open.includes(o))
      for (const need of o.bench.needs) {
        const row = rows.bench.find((b) => b.of === need.of);
        const first = need.is[0];
        if (!row || first === undefined) continue;
        const key = thing(need);
        const is = now.get(key)?.is ?? row.start;
        if (need.is.includes(is)) {
          if (is !== row.start) now.set(key, { is, by: o });
          continue;
        }
        const later = open.slice(open.indexOf(o)).flatMap((x) => x.bench.needs.filter((n) => thing(n) === key));
        const state = need.is.find((s) => later.every((n) => n.is.includes(s))) ?? first;
        // what has begun had what it asks for, whoever saw to it
        if (o.state !== 'doing') out.push(changeTo(row, need.at ?? null, state, o));
        now.set(key, { is: o.state === 'doing' ? first : state, by: o });
      }
    out.push(o);
  }
  return [...out, ...back(rows, now)];
}

function changeTo(row: BenchRow, at: string | null, state: string, by: AskedBy): BenchChange {
  const fact = { of: row.of, ...(at === null ? {} : { at }) };
  return { key: workKey(`${thing(fact)} ${state}`, by.id), kind: row.states[state] ?? '', of: row.of, at, by };
}

/** Everything back as it began, what came first last: the bridge before the strings. */
function back(rows: Pick<CheckRows, 'bench'>, now: BenchState): readonly BenchChange[] {
  return rows.bench.toReversed().flatMap((row) =>
    [...now].flatMap(([key, { is, by }]): readonly BenchChange[] => {
      const mine = key === row.of || key.startsWith(`${row.of} `);
      return mine && is !== row.start ? [changeTo(row, key === row.of ? null : key.slice(row.of.length + 1), row.start, by)] : [];
    }),
  );
}
