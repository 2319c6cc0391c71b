import { plain, type CardRow } from '../card.js';

export const putElectronicsBack: CardRow = { kind: 'putElectronicsBack', cards: () => [plain('layBack')] };
