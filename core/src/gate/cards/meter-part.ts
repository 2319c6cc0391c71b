import { plain, type CardRow } from '../card.js';

export const meterPart: CardRow = { kind: 'meterPart', cards: (c) => [plain('meter', { part: c.partName })] };
