import type { PlannedLevel } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import { bearingHeightOf, type TemplateBit } from '../part/index.js';
import { depthSetUps, type DepthSetUps } from './set-up.js';

/** One round with the template bit. */
export interface Pass {
  readonly from: number;
  readonly to: number;
  /** The bearing runs on the template, or on the wall that is already cut. */
  readonly guide: 'template' | 'wall';
  /** The levels that it cuts in. */
  readonly levels: readonly string[];
  /** How much of the bearing runs on wall that is cut already, mm; null on the template. */
  readonly wall: number | null;
  readonly setUps: DepthSetUps;
}

/** The bearing has too little of a template, or of a cut wall, to run on. */
export interface PassProblem {
  readonly kind: 'noContact';
  readonly at: number;
  readonly guide: Pass['guide'];
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
 * Where a bearing lies below the face, mm: above the cutter, from (to − cutting length − its height) to (to − cutting length). What of it lies between `top` and
 * the depth that is cut already guides the bit [law]. A cutter of 12.7 with a bearing of 5, cut to 18 where 12 is cut: from 0.3 to 5.3, 5.0 of contact.
 */
export function bearingContact(bit: TemplateBit, from: number, to: number, top: number): number {
  const low = to - bit.cuttingLength;
  return Math.max(0, Math.min(low, from) - Math.max(low - bearingHeightOf(bit), top));
}

/** How much contact is wanted of a bit: the shop's, or all of a lower bearing. */
export function contactWanted(bit: TemplateBit, s: Settings): number {
  return Math.min(s.bearingContact, bearingHeightOf(bit));
}

/**
 * Rounds of at most the shop's pass depth, and no deeper than the cutter is long, down to every level's floor: on the template while the bit reaches, then on the
 * cut wall. Where the bearing would find too little wall, one more pass goes as deep as the bit reaches on the template.
 * 18.0 and 22.5 with pass 6, template 12, reach 25: 6 and 12 on the template (projection 18 and 24; 30 would be beyond), 18 and 22.5 on the wood.
 */
export function planPasses(levels: readonly PlannedLevel[], bit: TemplateBit, s: Settings, template = s.templateThickness): Passes {
  const routed = levels.filter((p) => !p.bored);
  const floors = [...new Set(routed.map((p) => p.depth))].sort((a, b) => a - b);
  const passes: Pass[] = [];
  const problems: PassProblem[] = [];
  const needed = contactWanted(bit, s);
  const deepest = bit.reach - template;
  let depth = 0;
  let templateOffAfter: number | null = null;
  for (const floor of floors) {
    while (depth < floor - NONE) {
      const regular = Math.min(floor, depth + Math.min(s.passDepth, bit.cuttingLength));
      const reaches = templateOffAfter === null && regular <= deepest + NONE;
      const oneMore =
        !reaches &&
        templateOffAfter === null &&
        deepest > depth + NONE &&
        bearingContact(bit, depth, regular, 0) < needed - NONE &&
        bearingContact(bit, depth, deepest, -template) >= needed - NONE;
      const onTemplate = reaches || oneMore;
      const to = oneMore ? deepest : regular;
      if (!onTemplate) templateOffAfter ??= depth;
      const wall = bearingContact(bit, depth, to, onTemplate ? -template : 0);
      if (wall < needed - NONE) problems.push({ kind: 'noContact', at: to, guide: onTemplate ? 'template' : 'wall', wall, needed });
      passes.push({
        from: depth,
        to,
        guide: onTemplate ? 'template' : 'wall',
        wall: onTemplate ? null : wall,
        levels: routed.filter((p) => p.depth >= to - 1e-9).map((p) => p.id),
        setUps: depthSetUps(to, s.straightEdge, onTemplate ? template : null),
      });
      depth = to;
    }
  }
  return { passes, templateOffAfter, problems };
}

/** Less than this is nothing at a router, mm. */
const NONE = 1e-9;
