import { newHoleSteps } from '../../cut/index.js';
import type { Hole } from '../../instrument/index.js';
import { actsOf } from '../../operation/index.js';
import { diameter, plain, told, type CardRow, type Draft } from '../card.js';

/** By one template, read from its first hole; a backing board only where the drill comes out. */
export const drillRow: CardRow = {
  kind: 'drillRow',
  cards: ({ operation, state }) => {
    const holes = actsOf(operation.does, 'addHole').map((a) => a.hole);
    const row = rowOf(holes);
    const { drills } = newHoleSteps(holes[0]?.diameter?.value ?? 0, state.tools);
    const steps = drills.length > 0 ? drills : [{ name: '', diameter: holes[0]?.diameter?.value ?? 0 }];
    return [
      plain('markOut', row),
      ...(holes[0]?.through ? [plain('backBoard')] : []),
      ...steps.map((s): Draft => told('drillRowTo', [diameter(s.diameter)], { bit: s.name, ...row })),
    ];
  },
};

/** What a card says of holes in a row. */
function rowOf(holes: readonly Hole[]): Readonly<Record<string, string | number>> {
  const [first, second] = holes;
  if (!first || !second) return {};
  return {
    holes: holes.length,
    pitch: Math.hypot(second.at.x - first.at.x, second.at.y - first.at.y),
    x: first.at.x,
    y: first.at.y,
    through: first.through ? 'yes' : 'no',
    depth: first.depth?.value ?? 0,
  };
}
