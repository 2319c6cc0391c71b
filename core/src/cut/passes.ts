import type { PlannedLevel } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import type { TemplateBit } from '../part/index.js';
import { depthSetUps, type DepthSetUps } from './set-up.js';

/** One round with the template bit. */
export interface Pass {
  readonly from: number;
  readonly to: number;
  /** The bearing runs on the template, or on the wall that is already cut. */
  readonly guide: 'template' | 'wall';
  /** The levels that it cuts in. */
  readonly levels: readonly string[];
  /** Wall that is cut already where the bearing runs, mm; null on the template. */
  readonly wall: number | null;
  readonly setUps: DepthSetUps;
}

/** The bearing has too little cut wall to run on. */
export interface PassProblem {
  readonly kind: 'noContact';
  readonly at: number;
  readonly wall: number;
  readonly needed: number;
}

export interface Passes {
  readonly passes: readonly Pass[];
  /** The depth after which the template comes off; null while it stays on to the end. */
  readonly templateOffAfter: number | null;
  readonly problems: readonly PassProblem[];
}

/**
 * Rounds of at most the shop's pass depth down to every level's floor, on the template while the bit reaches, then on the cut wall.
 * 18.0 and 22.5 with pass 6, template 12, reach 25: 6 and 12 on the template (projection 18 and 24; 30 would be beyond), 18 and 22.5 on the wood.
 */
export function planPasses(levels: readonly PlannedLevel[], bit: TemplateBit, s: Settings): Passes {
  const routed = levels.filter((p) => !p.bored);
  const floors = [...new Set(routed.map((p) => p.depth))].sort((a, b) => a - b);
  const passes: Pass[] = [];
  const problems: PassProblem[] = [];
  let depth = 0;
  let templateOffAfter: number | null = null;
  for (const floor of floors) {
    while (depth < floor - 1e-9) {
      const to = Math.min(floor, depth + s.passDepth);
      const onTemplate = templateOffAfter === null && s.templateThickness + to <= bit.reach + 1e-9;
      if (!onTemplate) templateOffAfter ??= depth;
      const wall = depth - Math.max(0, to - bit.cuttingLength);
      if (!onTemplate && wall < s.bearingContact - 1e-9) problems.push({ kind: 'noContact', at: to, wall, needed: s.bearingContact });
      passes.push({
        from: depth,
        to,
        guide: onTemplate ? 'template' : 'wall',
        wall: onTemplate ? null : wall,
        levels: routed.filter((p) => p.depth >= to - 1e-9).map((p) => p.id),
        setUps: depthSetUps(to, s.straightEdge, onTemplate ? s.templateThickness : null),
      });
      depth = to;
    }
  }
  return { passes, templateOffAfter, problems };
}
