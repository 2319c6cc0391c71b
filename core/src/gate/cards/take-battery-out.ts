import { plain, type CardRow } from '../card.js';

export const takeBatteryOut: CardRow = { kind: 'takeBatteryOut', cards: () => [plain('batteryOut')] };
