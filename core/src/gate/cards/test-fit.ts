import { tried, type CardRow } from '../card.js';

export const testFit: CardRow = {
  kind: 'testFit',
  cards: (c) => [{ ...tried(c), asks: { what: 'gap', expected: c.gap?.expected ?? null, limit: c.gap?.limit ?? 0 } }],
};
