import { floorsTo, plain, type CardRow } from '../card.js';

export const cutChannel: CardRow = { kind: 'cutChannel', cards: (c) => [plain('markOut'), plain('unplug'), ...floorsTo(c, c.operation.does)] };
