import { OPERATIONS, PHASES, STATIONS, type Operation, type OperationRow } from '../operation/index.js';
import type { PrecedeRule, Rule } from './rules.js';

/** One operation that a rule puts before another. */
export interface Edge {
  readonly rule: string;
  readonly before: string;
  readonly after: string;
}

/** The rules' edges among the operations of a plan; done and dropped ones bind nothing. */
export function edgesOf(operations: readonly Operation[], rules: readonly Rule[]): readonly Edge[] {
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
export function sequence<T extends Operation>(operations: readonly T[], rules: readonly Rule[], tie: (a: T, b: T) => number = byTie): readonly T[] {
  const edges = edgesOf(operations, rules);
  const rest = [...operations].sort(tie);
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
export function inOrder<T extends Operation>(operations: readonly T[], rules: readonly Rule[]): readonly T[] {
  const byRules = sequence(operations, rules);
  if (operations.some((o) => o.rank === null)) return byRules;
  return [...byRules].sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0));
}

/** What is done first where no rule says. */
export function byTie(a: Operation, b: Operation): number {
  const [p, q] = [a, b].map((o) => (OPERATIONS as Readonly<Record<string, OperationRow | undefined>>)[o.kind]);
  const phase = (r: typeof p): number => (r ? PHASES.indexOf(r.phase) : PHASES.length);
  const station = (r: typeof p): number => (r ? STATIONS.indexOf(r.station) : STATIONS.length);
  return phase(p) - phase(q) || station(p) - station(q) || a.kind.localeCompare(b.kind) || a.subject.id.localeCompare(b.subject.id) || a.id.localeCompare(b.id);
}
