import { plain, type CardRow } from '../card.js';

export const fitSpacer: CardRow = { kind: 'fitSpacer', cards: () => [plain('setSpacer')] };
