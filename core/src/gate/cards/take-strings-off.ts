import { plain, type CardRow } from '../card.js';

export const takeStringsOff: CardRow = { kind: 'takeStringsOff', cards: () => [plain('takeStringsOff')] };
