import type { Operation } from '../operation/index.js';
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
 * The operations in an order that breaks no rule: topological, ties by the name of the kind, then by id.
 * Knows no kind: only the rules decide. Throws RuleCircleError when the rules contradict one another.
 */
export function sequence(operations: readonly Operation[], rules: readonly Rule[]): readonly Operation[] {
  const edges = edgesOf(operations, rules);
  const rest = [...operations].sort((a, b) => a.kind.localeCompare(b.kind) || a.id.localeCompare(b.id));
  const out: Operation[] = [];
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
export function inOrder(operations: readonly Operation[], rules: readonly Rule[]): readonly Operation[] {
  const byRules = sequence(operations, rules);
  if (operations.some((o) => o.rank === null)) return byRules;
  return [...byRules].sort((a, b) => (a.rank ?? 0) - (b.rank ?? 0));
}
