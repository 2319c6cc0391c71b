import { plain, tried, type CardRow } from '../card.js';

export const openSlot: CardRow = { kind: 'openSlot', cards: (c) => [plain('openSlotTo', { part: c.partName }), tried(c)] };
