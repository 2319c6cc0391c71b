import { holeSteps } from '../../cut/index.js';
import { actsOf } from '../../operation/index.js';
import { diameter, plain, told, tried, type CardContext, type CardRow, type Draft } from '../card.js';

/** The finish is scratched back, then the drills one after another; a backing board only where the drill comes out. */
export const openHole: CardRow = {
  kind: 'openHole',
  cards: (c) => [plain('scratchFinish'), ...actsOf(c.operation.does, 'sizeHole').flatMap((w) => opened(c, w.hole, w.diameter.value)), tried(c)],
};

function opened({ state }: CardContext, id: string, to: number): readonly Draft[] {
  const hole = state.anatomy.holes.find((h) => h.id === id);
  const { drills } = holeSteps(hole?.diameter?.value ?? 0, to, state.tools);
  const board = hole?.through ? [plain('backBoard')] : [];
  // with no drill for it, its size stands on the card all the same
  const steps = drills.length > 0 ? drills : [{ name: '', diameter: to }];
  return [...board, ...steps.map((s) => told('openTo', [diameter(s.diameter)], { bit: s.name }))];
}
