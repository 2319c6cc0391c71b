import { plain, type CardRow } from '../card.js';

export const slackenStrings: CardRow = { kind: 'slackenStrings', cards: () => [plain('slackenStrings')] };
