import { BY_HAND } from '../../operation/index.js';
import { plain, type CardRow } from '../card.js';

/** One card: the line, and how long it rests after it. */
export const byHand: CardRow = {
  kind: BY_HAND,
  cards: ({ operation: { own } }) => (own ? [plain('doOwn', { line: own.line }), ...(own.wait > 0 ? [plain('letRest', { minutes: own.wait })] : [])] : []),
};
