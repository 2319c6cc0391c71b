import { operationRow, PHASES, STATIONS, type Operation, type PlacedOperation } from '../operation/index.js';
import { isMeant, isNear, type OrderRows, type PrecedeRule } from './rule.js';

/** One operation that a rule puts before another. */
export interface Edge {
  readonly rule: string;
  readonly before: string;
  readonly after: string;
}

/** The rules' edges among the operations of a job; dropped ones bind nothing, and nothing binds what is done. */
export function edgesOf(rows: OrderRows, operations: readonly PlacedOperation[]): readonly Edge[] {
  const live = operations.filter((o) => o.state !== 'dropped');
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
  const rest = [...operations].sort(tie ?? byTie(rows));
  const waits = new Map(rest.map((o) => [o.id, new Set<string>()]));
  for (const e of edgesOf(rows, operations)) waits.get(e.after)?.add(e.before);
  const out: T[] = [];
  while (rest.length > 0) {
    const i = rest.findIndex((o) => waits.get(o.id)?.size === 0);
    const [next] = rest.splice(i, 1);
    if (i < 0 || !next) throw new RuleCircleError([...rest, ...(next ? [next] : [])].map((o) => o.id));
    for (const before of waits.values()) before.delete(next.id);
    out.push(next);
  }
  return out;
}

/** The technician's own order where every operation has a rank, else the rules'. */
export function inOrder<T extends PlacedOperation>(rows: OrderRows, operations: readonly T[]): readonly T[] {
  const byRules = sequence(rows, operations);
  if (operations.some((o) => o.rank === null)) return byRules;
  return [...byRules].sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0));
}

/** What is done first where no rule says. */
export function byTie(rows: Pick<OrderRows, 'operations'>): (a: Operation, b: Operation) => number {
  const phase = (o: Operation): number => PHASES.indexOf(operationRow(rows, o.kind).phase);
  const station = (o: Operation): number => STATIONS.indexOf(operationRow(rows, o.kind).station);
  return (a, b) =>
    phase(a) - phase(b) || station(a) - station(b) || a.kind.localeCompare(b.kind) || a.subject.id.localeCompare(b.subject.id) || a.id.localeCompare(b.id);
}
