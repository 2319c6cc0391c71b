import { plain, type CardRow } from '../card.js';

export const fitPart: CardRow = { kind: 'fitPart', cards: (c) => [plain('fit', { part: c.partName }), plain('solder', { part: c.partName })] };
