import { plain, type CardRow } from '../card.js';

export const putInsertBack: CardRow = { kind: 'putInsertBack', cards: () => [plain('putInsert')] };
