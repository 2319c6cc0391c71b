import { evaluateIn, HANGS, hollowAt, withChoice, type HardwareChoice } from '../check/index.js';
import { constant } from '../measure/index.js';
import { around, priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import { drillNew } from './drill-new.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');
/** How far a new hole is moved at most, by which steps, and in how many directions [memory]. */
const FURTHEST = 24;
const STEP = 1;
const WAYS = 16;

/** A new hole is moved to the nearest spot where it clears what is round it, and its body walls and neighbours. */
export function move(g: HardwareGround): readonly Proposal[] {
  const { state, plan, choice, verdicts, site } = g;
  const { place } = choice;
  const crowded = (list: typeof verdicts): boolean => list.some((v) => CROWDING.has(v.check) && v.class !== 'well');
  if (place.on !== 'face' || !crowded(verdicts)) return [];
  const hangs = site !== null && HANGS.has(site.part.kind);
  for (let far = STEP; far <= FURTHEST; far += STEP) {
    for (let i = 0; i < WAYS; i++) {
      const a = (2 * Math.PI * i) / WAYS;
      const at = { x: place.at.x + far * Math.cos(a), y: place.at.y + far * Math.sin(a) };
      const moved: HardwareChoice = { ...choice, place: { ...place, at } };
      if (hangs && !hollowAt(state.anatomy, place.face, at)) continue;
      const there = evaluateIn(state, withChoice(plan, moved), moved).verdicts;
      if (!there.some((v) => CROWDING.has(v.check)) || crowded(there)) continue;
      const [drilled] = drillNew({ ...g, choice: moved });
      return [
        {
          id: `move/${choice.part ?? ''}`,
          kind: 'move',
          choice: drilled?.choice ?? moved,
          operations: around(g, 'drillHole'),
          risk: RISK.value,
          price: priceOf(state, choice.part),
          lacks: drilled?.lacks ?? toBuy(state, choice.part),
          ...(drilled?.steps ? { steps: drilled.steps } : {}),
          by: far,
        },
      ];
    }
  }
  return [];
}

const CROWDING: ReadonlySet<string> = new Set(['bodyInRoom', 'besideNeighbour', 'leafSwing', 'hollowBehind', 'holeBeside']);
