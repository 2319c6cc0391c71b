import { plain, type CardRow } from '../card.js';

export const makePlate: CardRow = { kind: 'makePlate', cards: (c) => [plain('cutPlate', { part: c.partName })] };
