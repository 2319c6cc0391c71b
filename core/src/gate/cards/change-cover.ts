import { plain, type CardRow } from '../card.js';

export const changeCover: CardRow = { kind: 'changeCover', cards: (c) => [plain('coverChanged', { part: c.partName })] };
