import { plain, type CardRow } from '../card.js';

export const putArmOn: CardRow = { kind: 'putArmOn', cards: () => [plain('armOn')] };
