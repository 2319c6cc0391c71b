import { plain, told, type CardRow } from '../card.js';

/** Nothing where there is no bulk to bore. */
export const boreBulk: CardRow = {
  kind: 'boreBulk',
  cards: ({ cutting }) => {
    const { boring, clearing } = cutting ?? {};
    if (!boring) return [];
    const bore = told('bore', [{ label: 'rimDepth', working: boring.rimDepth }], { bit: boring.bit.name, holes: boring.holes.length });
    if (!clearing) return [bore];
    const names = { bit: clearing.bit.name, leave: clearing.leave, passes: clearing.passes.length };
    return [bore, plain('changeBit', names), told('clearBulk', [{ label: 'rimDepth', working: clearing.to }], names)];
  },
};
