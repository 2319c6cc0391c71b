import { operationRow, phaseOf, PHASES, STATIONS, type Operation, type PlacedOperation } from '../operation/index.js';
import { isMeant, isNear, type OrderRows, type PrecedeRule } from './rule.js';

/** One operation that a rule puts before another. */
export interface Edge {
  readonly rule: string;
  readonly before: string;
  readonly after: string;
}

/** What binds work that was put in by hand: whoever put it in said after what and before what. */
export const OWN_ORDER = 'ownOrder';

/** The rules' edges among the operations of a job, and those of own work; dropped ones bind nothing, and nothing binds what is done. */
export function edgesOf(rows: OrderRows, operations: readonly PlacedOperation[]): readonly Edge[] {
  const live = operations.filter((o) => o.state !== 'dropped');
  return [...byRule(rows, live), ...byOwner(live)];
}

function byOwner(live: readonly PlacedOperation[]): readonly Edge[] {
  const open = new Set(live.flatMap((o) => (o.state === 'done' ? [] : [o.id])));
  const there = new Set(live.map((o) => o.id));
  return live
    .flatMap(({ id, own }) => [
      ...(own?.after ?? []).map((before) => ({ rule: OWN_ORDER, before, after: id })),
      ...(own?.before ?? []).map((after) => ({ rule: OWN_ORDER, before: id, after })),
    ])
    .filter((e) => there.has(e.before) && open.has(e.after) && e.before !== e.after);
}

function byRule(rows: OrderRows, live: readonly PlacedOperation[]): readonly Edge[] {
  return rows.rules
    .filter((r): r is PrecedeRule => r.type === 'precede')
    .flatMap((r) => {
      const after = live.filter((b) => b.state !== 'done' && isMeant(rows, r.to, b));
      return live
        .filter((a) => isMeant(rows, r.from, a))
        .flatMap((a) => after.filter((b) => b.id !== a.id && isNear(r.scope, a, b)).map((b) => ({ rule: r.id, before: a.id, after: b.id })));
    });
}

/** Operations that rules put before one another all round, by their ids. */
export class RuleCircleError extends RangeError {
  constructor(readonly members: readonly string[]) {
    super('rules contradict one another');
  }
}

/**
 * The operations in an order that breaks no rule: topological; where the rules leave it free by the stage of the work, the place where it is done, its kind, its
 * subject, then by id.
 * Knows no kind: only the rules decide. Throws RuleCircleError when the rules contradict one another.
 */
export function sequence<T extends PlacedOperation>(rows: OrderRows, operations: readonly T[], tie?: (a: T, b: T) => number): readonly T[] {
  return along(edgesOf(rows, operations), operations, tie ?? byTie(rows));
}

function along<T extends PlacedOperation>(edges: readonly Edge[], operations: readonly T[], tie: (a: T, b: T) => number): readonly T[] {
  const rest = [...operations].sort(tie);
  const waits = new Map(rest.map((o) => [o.id, new Set<string>()]));
  for (const e of edges) waits.get(e.after)?.add(e.before);
  const out: T[] = [];
  while (rest.length > 0) {
    const i = rest.findIndex((o) => waits.get(o.id)?.size === 0);
    const [next] = rest.splice(i, 1);
    if (i < 0 || !next) throw new RuleCircleError(circleIn(edges, new Set([...rest, ...(next ? [next] : [])].map((o) => o.id))));
    for (const before of waits.values()) before.delete(next.id);
    out.push(next);
  }
  return out;
}

/** Only those that go round: what merely waits for one of them is not a member. */
function circleIn(edges: readonly Edge[], stuck: ReadonlySet<string>): readonly string[] {
  let members = stuck;
  for (;;) {
    const inside = edges.filter((e) => members.has(e.before) && members.has(e.after));
    const kept = new Set([...members].filter((id) => inside.some((e) => e.before === id) && inside.some((e) => e.after === id)));
    if (kept.size === members.size) return [...kept];
    members = kept;
  }
}

/** By the rules; where own work goes round with them, the rules alone: what that breaks is told like any broken rule. */
function byRulesFirst<T extends PlacedOperation>(rows: OrderRows, operations: readonly T[]): readonly T[] {
  try {
    return sequence(rows, operations);
  } catch (error) {
    if (!(error instanceof RuleCircleError) || operations.every((o) => o.own === undefined)) throw error;
    return along(
      byRule(
        rows,
        operations.filter((o) => o.state !== 'dropped'),
      ),
      operations,
      byTie(rows),
    );
  }
}

/** The technician's own order where every operation has a rank, else the rules'. */
export function inOrder<T extends PlacedOperation>(rows: OrderRows, operations: readonly T[]): readonly T[] {
  const byRules = byRulesFirst(rows, operations);
  if (operations.some((o) => o.rank === null)) return byRules;
  return [...byRules].sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0));
}

/** What is done first where no rule says. */
export function byTie(rows: Pick<OrderRows, 'operations'>): (a: Operation, b: Operation) => number {
  const phase = (o: Operation): number => PHASES.indexOf(phaseOf(rows, o));
  const station = (o: Operation): number => STATIONS.indexOf(operationRow(rows, o.kind).station);
  return (a, b) =>
    phase(a) - phase(b) || station(a) - station(b) || a.kind.localeCompare(b.kind) || a.subject.id.localeCompare(b.subject.id) || a.id.localeCompare(b.id);
}
