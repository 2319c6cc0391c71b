import { plain, type CardRow } from '../card.js';

export const takeSpacerOut: CardRow = { kind: 'takeSpacerOut', cards: () => [plain('takeSpacer')] };
