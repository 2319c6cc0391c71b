import { floorsTo, plain, type CardRow } from '../card.js';

export const deepenRoute: CardRow = { kind: 'deepenRoute', cards: (c) => [plain('unplug'), ...floorsTo(c, c.operation.does)] };
