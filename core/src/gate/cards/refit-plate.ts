import { plain, type CardRow } from '../card.js';

export const refitPlate: CardRow = { kind: 'refitPlate', cards: () => [plain('putPlateBack')] };
