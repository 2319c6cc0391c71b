import { valueOf } from '../measure/index.js';
import type { StepCard } from './card.js';
import { cutTo } from './depth-reached.js';

/** How deep it is before a step, how deep by it, and how deep its work goes in all, mm under the face. */
export interface StepDepth {
  readonly was: number;
  readonly to: number;
  readonly whole: number;
}

/** What of the wood stays under all of it, mm; null where nobody measured the wood. Body 44.0, depth 18.0: 26.0 stay. */
export function leftUnder({ whole }: StepDepth, thickness: number | null): number | null {
  return thickness === null ? null : thickness - whole;
}

/** The depth that a step is about: what it cuts to, sets the bit for, drills to or reads; null where none of its work's cards is about one. Passes of 6, at the set-up of the second: was 6, to 12, whole 18. */
export function depthOfStep(cards: readonly StepCard[], now: number): StepDepth | null {
  const card = cards[now];
  const whole = Math.max(0, ...cards.map((c) => depthOf(c) ?? 0));
  if (!card || whole === 0) return null;
  const was = Math.max(0, ...cards.slice(0, now).map((c) => cutTo(c) ?? drilledTo(c) ?? 0));
  return { was, to: depthOf(card) ?? was, whole };
}

function depthOf(card: StepCard): number | null {
  const { kind, names, asks } = card;
  return cutTo(card) ?? drilledTo(card) ?? (kind === 'setDepth' ? Number(names['depth']) : asks?.what === 'depth' ? asks.expected : null);
}

/** A blind hole's depth, from its card. */
function drilledTo({ kind, numbers }: StepCard): number | null {
  const deep = kind === 'drillNew' || kind === 'boreDeeper' ? numbers.find((n) => n.label === 'targetDepth') : undefined;
  return deep ? valueOf(deep.working) : null;
}
