import { operationRow, PHASES, STATIONS, type Operation } from '../operation/index.js';
import type { OrderRows, PrecedeRule } from './rule.js';

/** One operation that a rule puts before another. */
export interface Edge {
  readonly rule: string;
  readonly before: string;
  readonly after: string;
}

/** The rules' edges among the operations of a plan; done and dropped ones bind nothing. */
export function edgesOf({ rules }: Pick<OrderRows, 'rules'>, operations: readonly Operation[]): readonly Edge[] {
  const live = operations.filter((o) => o.state !== 'dropped');
  return rules
    .filter((r): r is PrecedeRule => r.type === 'precede')
    .flatMap((r) =>
      live
        .filter((a) => r.before.includes(a.kind))
        .flatMap((a) =>
          live.filter((b) => r.after.includes(b.kind) && b.decision === a.decision && b.id !== a.id).map((b) => ({ rule: r.id, before: a.id, after: b.id })),
        ),
    );
}

/** Two operations that rules put before each other both ways. */
export class RuleCircleError extends RangeError {}

/**
 * The operations in an order that breaks no rule: topological; where the rules leave it free by the stage of the work, the place where it is done, its kind, its
 * subject, then by id.
 * Knows no kind: only the rules decide. Throws RuleCircleError when the rules contradict one another.
 */
export function sequence<T extends Operation>(rows: OrderRows, operations: readonly T[], tie?: (a: T, b: T) => number): readonly T[] {
  const edges = edgesOf(rows, operations);
  const rest = [...operations].sort(tie ?? byTie(rows));
  const out: T[] = [];
  const placed = new Set<string>();
  while (rest.length > 0) {
    const i = rest.findIndex((o) => edges.every((e) => e.after !== o.id || placed.has(e.before) || !operations.some((x) => x.id === e.before)));
    const [next] = rest.splice(i, 1);
    if (i < 0 || !next) throw new RuleCircleError('rules contradict one another');
    placed.add(next.id);
    out.push(next);
  }
  return out;
}

/** The technician's own order where every operation has a rank, else the rules'. */
export function inOrder<T extends Operation>(rows: OrderRows, operations: readonly T[]): readonly T[] {
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
