import { plain, type CardRow } from '../card.js';

export const tracePlate: CardRow = { kind: 'tracePlate', cards: () => [plain('mountPlate'), plain('traceOutline'), plain('takePlateOff')] };
