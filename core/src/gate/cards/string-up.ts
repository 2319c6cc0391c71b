import { plain, type CardRow } from '../card.js';

export const stringUp: CardRow = { kind: 'stringUp', cards: () => [plain('tuneUp')] };
