import { plain, type CardRow } from '../card.js';

export const takeSleeveOut: CardRow = { kind: 'takeSleeveOut', cards: () => [plain('pullSleeve')] };
