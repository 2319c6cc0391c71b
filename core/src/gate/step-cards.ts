import { PLANNED_SET } from '../check/index.js';
import { cautionsOf, type StepKind } from '../operation/index.js';
import type { Rule, StepRule } from '../order/index.js';
import { plain, type CardContext, type StepCard } from './card.js';
import { CARDS } from './cards/index.js';

const rows = new Map(CARDS.map((r) => [r.kind, r.cards]));

/** The cards of an operation in their fixed order, with the steps that step rules put in; each carries the cautions of its own step. */
export function stepCards(context: CardContext, rules: readonly Rule[]): readonly StepCard[] {
  const { kind } = context.operation;
  const stepRules = rules.filter((r): r is StepRule => r.type === 'step' && r.kinds.includes(kind));
  const drafts = (rows.get(kind)?.(context) ?? []).flatMap((d) => {
    const rule = stepRules.find((r) => r.before.includes(d.kind));
    const own = { ...d, rule: null as string | null };
    return rule ? [{ ...plain(rule.insert), rule: rule.id }, own] : [own];
  });
  return dedupe(drafts).map((d, i) => ({ ...d, key: `${i + 1} ${d.kind}`, cautions: [...cautionsOf(d.kind), ...(d.cautions ?? [])] }));
}

/** The same inserted step twice running is once. */
function dedupe<T extends { readonly kind: StepKind; readonly rule: string | null }>(drafts: readonly T[]): readonly T[] {
  return drafts.filter((d, i) => {
    if (d.rule === null) return true;
    const before = drafts[i - 1];
    const beforeThat = drafts[i - 2];
    const same = (x: T | undefined): boolean => x?.kind === d.kind && x.rule === d.rule;
    return !same(before) && !(same(beforeThat) && before?.kind === 'changeBit');
  });
}

/** The set that planned levels get once they are cut. */
export function cutSetOf(decision: string): string {
  return `${PLANNED_SET} ${decision}`;
}
