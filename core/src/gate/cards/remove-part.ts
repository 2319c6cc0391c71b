import { plain, type CardRow } from '../card.js';

export const removePart: CardRow = { kind: 'removePart', cards: () => [plain('unsolder'), plain('takeOut')] };
