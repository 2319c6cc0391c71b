import { valueOf } from '../measure/index.js';
import type { StepCard } from './card.js';

/** How deep the work has gone by a card, mm: to what that card or the last one before it cuts to; 0 before anything is cut. */
export function depthReached(cards: readonly StepCard[], now: number): number {
  return cards.slice(0, now + 1).reduce((deep, card) => cutTo(card) ?? deep, 0);
}

/** What a card cuts to, mm; null where it cuts no floor. */
export function cutTo({ kind, names, numbers, asks }: StepCard): number | null {
  switch (kind) {
    case 'cut':
      return Number(names['depth']);
    case 'bore':
    case 'clearBulk': {
      const rim = numbers.find((n) => n.label === 'rimDepth');
      return rim ? valueOf(rim.working) : null;
    }
    case 'deepenTo':
      return asks?.what === 'depth' ? asks.expected : null;
    default:
      return null;
  }
}
