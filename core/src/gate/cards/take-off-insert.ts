import { plain, type CardRow } from '../card.js';

export const takeOffInsert: CardRow = { kind: 'takeOffInsert', cards: () => [plain('takePlateOff')] };
