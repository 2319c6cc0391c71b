import { waitsFor } from './inspection.js';
import type { RuleId, Severity } from './rule-ids.js';
import { RULES, type Rule } from './rules.js';
import type { StateOf, StateReading } from './state-of.js';

/** A judgement from readings. */
export interface Finding {
  readonly rule: RuleId;
  readonly severity: Severity;
  readonly evidence: readonly StateReading[];
  /** The finding that this one comes from, the furthest upstream; null where it stands by itself. */
  readonly cause: RuleId | null;
  /** What comes from this one, in the order of the rules. */
  readonly explains: readonly RuleId[];
  /** What must be put right before this can be judged. */
  readonly waitsFor: StateReading | null;
}

const WEIGHT: Readonly<Record<Severity, number>> = { stop: 0, 'put right': 1, watch: 2, leave: 3 };

/**
 * Everything that the readings say is outside, first causes before what they explain, the gravest first.
 * Relief of 0.60 with action 2.4 and a buzz from the 12th up is one cause with two consequences.
 */
export function findingsOf(state: StateOf): readonly Finding[] {
  const held = RULES.flatMap((rule) => {
    const evidence = rule.when(state);
    return evidence.length > 0 ? [{ rule, evidence }] : [];
  });
  const found = new Map(held.map((h) => [h.rule.id, h.rule]));
  const findings = held.map(({ rule, evidence }): Finding => {
    const cause = firstCause(rule, found);
    const waits = rule.quantity ? waitsFor(rule.quantity, state) : null;
    return {
      rule: rule.id,
      severity: rule.severity,
      evidence,
      cause,
      explains: held.filter((h) => h.rule.id !== rule.id && firstCause(h.rule, found) === rule.id).map((h) => h.rule.id),
      waitsFor: waits && !evidence.includes(waits) ? waits : null,
    };
  });
  return [...findings].sort((a, b) => Number(a.cause !== null) - Number(b.cause !== null) || WEIGHT[a.severity] - WEIGHT[b.severity]);
}

/** Follows causes upstream as far as they are found themselves. */
function firstCause(rule: Rule, found: ReadonlyMap<RuleId, Rule>): RuleId | null {
  let [at, cause]: [Rule, RuleId | null] = [rule, null];
  const seen = new Set<RuleId>([rule.id]);
  for (;;) {
    const next = at.causes.find((c) => found.has(c) && !seen.has(c));
    const up = next && found.get(next);
    if (!next || !up) return cause;
    seen.add(next);
    [at, cause] = [up, next];
  }
}
