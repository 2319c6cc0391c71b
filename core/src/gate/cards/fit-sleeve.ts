import { plain, type CardRow } from '../card.js';

export const fitSleeve: CardRow = { kind: 'fitSleeve', cards: (c) => [plain('pressSleeve', { part: c.partName })] };
