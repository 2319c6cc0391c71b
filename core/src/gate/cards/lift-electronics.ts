import { plain, type CardRow } from '../card.js';

export const liftElectronics: CardRow = { kind: 'liftElectronics', cards: () => [plain('liftOut')] };
