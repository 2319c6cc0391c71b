import { asksDepth, type CardRow, type Draft } from '../card.js';

/** Nothing where the route has no wells. */
export const boreWells: CardRow = {
  kind: 'boreWells',
  cards: (c) =>
    (c.cutting?.wells ?? []).map((w): Draft => {
      const tip = c.route?.levels.find((p) => p.id === w.level)?.depth ?? 0;
      const numbers = w.rimDepth ? [{ label: 'rimDepth', working: w.rimDepth }] : [];
      return { kind: 'bore', numbers, names: { bit: w.bit?.name ?? '', holes: 1 }, asks: asksDepth(c, c.cavity, w.level, tip) };
    }),
};
