import { plain, type CardRow } from '../card.js';

export const takePartOff: CardRow = { kind: 'takePartOff', cards: () => [plain('coveringOff')] };
