import { PLANNED_SET } from '../check/index.js';
import { cautionsOf, type StepKind } from '../operation/index.js';
import { isMeant, type StepRule } from '../order/index.js';
import { plain, type CardContext, type StepCard } from './card.js';
import { CONDITIONS } from './conditions.js';

/** The cards of an operation in their fixed order, with the steps that step rules put in; each carries the cautions of its own step. */
export function stepCards(context: CardContext): readonly StepCard[] {
  const { rows, operation } = context;
  const { kind } = operation;
  const stepRules = rows.rules.filter(
    (r): r is StepRule => r.type === 'step' && isMeant(rows, r.to, operation) && (!r.condition || CONDITIONS[r.condition](context)),
  );
  const drafts = (rows.cards[kind]?.cards(context) ?? []).flatMap((d) => {
    const rule = stepRules.find((r) => r.before.includes(d.kind));
    const own = { ...d, rule: null as string | null };
    return rule ? [{ ...plain(rule.insert), rule: rule.id }, own] : [own];
  });
  return dedupe(drafts).map((d, i) => ({ ...d, key: `${i + 1} ${d.kind}`, cautions: [...cautionsOf(rows, d.kind), ...(d.cautions ?? [])] }));
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
