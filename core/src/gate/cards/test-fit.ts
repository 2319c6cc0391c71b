import { evaluateChoice, isAbout, type Verdict } from '../../check/index.js';
import { tried, type AskedGap, type CardContext, type CardRow } from '../card.js';

/** The real part is tried, and the least gap between it and the wood is read. */
export const testFit: CardRow = { kind: 'testFit', cards: (c) => [{ ...tried(c), asks: gap(c) }] };

/** How much room the part should have in the route as it now is, at its tightest. */
function gap({ rows, operation, state, choice }: CardContext): AskedGap {
  const room = choice ? evaluateChoice(rows, state, choice).verdicts.filter((v) => isAbout(v, 'tried')) : [];
  const least = room.reduce<Verdict | null>((w, v) => (v.clearance !== null && (w?.clearance ?? Infinity) > v.clearance ? v : w), null);
  const target = { quantity: 'fitGap' as const, feature: operation.at.features[0] ?? '' };
  return { what: 'gap', role: 'proves', target, expected: least?.clearance == null ? null : Math.max(0, least.clearance), limit: least?.worst ?? 0 };
}
