import { plain, type CardRow } from '../card.js';

export const putPartBack: CardRow = { kind: 'putPartBack', cards: () => [plain('coveringOn')] };
