import { plain, type CardRow } from '../card.js';

export const glueIn: CardRow = { kind: 'glueIn', cards: (c) => [plain('wickGlue', { part: c.partName })] };
