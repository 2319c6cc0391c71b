import { floorsTo, plain, type CardRow } from '../card.js';

export const cutCavity: CardRow = {
  kind: 'cutCavity',
  cards: (c) => [plain('layOutline'), plain('unplug'), ...floorsTo(c, c.operation.does), plain('tryPart', { part: '' })],
};
