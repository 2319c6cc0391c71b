import { plain, type CardRow } from '../card.js';

export const takeArmOff: CardRow = { kind: 'takeArmOff', cards: () => [plain('armOff')] };
