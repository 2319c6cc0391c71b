import { plain, type CardRow } from '../card.js';

/** What has wires is soldered. */
export const fitHardware: CardRow = {
  kind: 'fitHardware',
  cards: (c) => [plain('fitHardware', { part: c.partName }), ...(c.wired ? [plain('solder', { part: c.partName })] : [])],
};
