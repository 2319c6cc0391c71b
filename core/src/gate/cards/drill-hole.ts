import { newHoleSteps } from '../../cut/index.js';
import type { Hole } from '../../instrument/index.js';
import { setting, sum, type Dimension } from '../../measure/index.js';
import { actsOf } from '../../operation/index.js';
import { drillPoint } from '../../part/index.js';
import { diameter, plain, told, tried, type CardContext, type CardNumber, type CardRow, type Draft } from '../card.js';

/** A through hole wants a board behind it; a blind one its depth, and where the stop goes. */
export const drillHole: CardRow = { kind: 'drillHole', cards: (c) => [...holesOf(c).flatMap((h) => drilled(c, h)), tried(c)] };

interface Drilled {
  readonly through: boolean;
  readonly diameter: Dimension | null;
  readonly depth: Dimension | null;
}

/** Each hole as it is to be, once. */
function holesOf({ operation: { does }, state }: CardContext): readonly Drilled[] {
  const fresh = actsOf(does, 'addHole').map((a) => a.hole);
  const ids = new Set([...fresh.map((h) => h.id), ...actsOf(does, 'sizeHole').map((a) => a.hole), ...actsOf(does, 'moveHole').map((a) => a.hole)]);
  return [...ids].flatMap((id): readonly Drilled[] => {
    const hole: Hole | undefined = fresh.find((h) => h.id === id) ?? state.anatomy.holes.find((h) => h.id === id);
    if (!hole) return [];
    const size = actsOf(does, 'sizeHole').find((a) => a.hole === id)?.diameter ?? hole.diameter;
    const depth = actsOf(does, 'deepenHole').find((a) => a.hole === id)?.depth ?? hole.depth;
    return [{ through: hole.through, diameter: size, depth }];
  });
}

function drilled({ state }: CardContext, h: Drilled): readonly Draft[] {
  const size = h.diameter?.value ?? null;
  const bit = size === null ? '' : (newHoleSteps(size, state.tools).drills.at(-1)?.name ?? '');
  const numbers: readonly CardNumber[] = [...(size === null ? [] : [diameter(size)]), ...(h.through || !h.depth ? [] : stops(h.depth.value, size))];
  return [...(h.through ? [plain('backBoard')] : []), told('drillNew', numbers, { bit, through: h.through ? 'yes' : 'no' })];
}

/** How deep, and where the flag goes from the drill's tip, mm. */
function stops(depth: number, size: number | null): readonly CardNumber[] {
  const target = setting('targetDepth', depth, 'plan');
  const deep = { label: 'targetDepth', working: target };
  return size === null
    ? [deep]
    : [deep, { label: 'stopFromTip', working: sum('stopFromTip', [1, target], [1, setting('drillPoint', drillPoint(size), 'tool')]) }];
}
