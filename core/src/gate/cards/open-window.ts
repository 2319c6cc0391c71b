import { plain, tried, type CardRow } from '../card.js';

export const openWindow: CardRow = { kind: 'openWindow', cards: (c) => [plain('fileWindow', { part: c.partName }), tried(c)] };
