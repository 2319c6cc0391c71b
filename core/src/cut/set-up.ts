import { setting, sum, type Working } from '../measure/index.js';

/** The three named ways to set or check a depth, each with its own sum; never mixed [law]. */
export interface DepthSetUps {
  /** (a) Bit projection below the router's base: t + d on the template, d on the wood. */
  readonly projection: Working;
  /** (b) The same read from the outer face of a straight edge that lies on the base: (a) − s. */
  readonly overStraightEdge: Working;
  /** (c) Finished depth from the top of a straight edge across the template down to the floor: s + t + d. */
  readonly finished: Working;
}

/** Which of the three a hand works by. */
export const SET_UPS = ['projection', 'overStraightEdge', 'finished'] as const satisfies readonly (keyof DepthSetUps)[];
export type SetUpId = (typeof SET_UPS)[number];

/**
 * The sums for a depth d with a straight edge s and, on the template, its thickness t; all mm.
 * s 1/32 in, t 3/16 in, d 7/8 in: (a) 1 1/16, (b) 1 1/32, (c) 1 3/32 in = 27.78125 mm.
 */
export function depthSetUps(depth: number, straightEdge: number, template: number | null): DepthSetUps {
  const d = setting('targetDepth', depth, 'depth');
  const s = setting('straightEdge', straightEdge, 'straightEdge');
  const t = template === null ? [] : ([[1, setting('templateThickness', template, 'templateThickness')]] as const);
  return {
    projection: sum('projection', ...t, [1, d]),
    overStraightEdge: sum('overStraightEdge', ...t, [1, d], [-1, s]),
    finished: sum('finishedDepth', [1, s], ...t, [1, d]),
  };
}

/** The least template thickness with which the bearing touches at the first pass: cutting length − pass + contact [law]. 12.7 − 6 + 4 = 10.7. */
export function leastTemplate(cuttingLength: number, pass: number, contact: number): Working {
  return sum(
    'leastTemplate',
    [1, setting('cuttingLength', cuttingLength, 'tool')],
    [-1, setting('passDepth', pass, 'passDepth')],
    [1, setting('bearingContact', contact, 'bearingContact')],
  );
}
