import { plain, type CardRow } from '../card.js';

export const putBatteryIn: CardRow = { kind: 'putBatteryIn', cards: () => [plain('batteryIn')] };
