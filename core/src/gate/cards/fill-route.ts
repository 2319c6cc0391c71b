import { plain, type CardRow } from '../card.js';

export const fillRoute: CardRow = { kind: 'fillRoute', cards: () => [plain('fillIn'), plain('waitForGlue'), plain('levelPlug')] };
