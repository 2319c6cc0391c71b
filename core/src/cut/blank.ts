import { toBody, type Anatomy, type Cavity } from '../instrument/index.js';
import type { Settings } from '../operation/index.js';
import { bounds } from '../shape/index.js';

/** A block that closes an old cavity before the new one is cut, mm; its grain runs as the body's does, along the strings. */
export interface Blank {
  /** Across the grain and along it, with what is trimmed off. */
  readonly across: number;
  readonly along: number;
  readonly thick: number;
  /** Working time aside, minutes. */
  readonly cures: number;
  /** Wood moves across its grain: so wide a block is not glued in without thought. */
  readonly wide: boolean;
}

/** More wood than the cavity on each side, to be trimmed to a tight fit, and how far it stands proud until it is levelled, mm [memory]. */
const TRIM = 5;
const PROUD = 1;
/** Wider than this across the grain a plug wants thought, mm [trade: docs/trade/cut.md, Plugs]. */
const WIDE = 60;

/** The block for what was found: 80 × 30, 18 deep: 90 across, 40 along, 19 thick [law]. Null where a depth is not known. */
export function blankFor(a: Anatomy, cavity: Cavity, s: Settings): Blank | null {
  if (cavity.levels.length === 0 || cavity.levels.some((p) => p.depth === null)) return null;
  const b = bounds(cavity.levels.map((p) => toBody(a, cavity.frame, p.outline.outline)));
  const across = b.maxX - b.minX;
  return {
    across: across + 2 * TRIM,
    along: b.maxY - b.minY + 2 * TRIM,
    thick: Math.max(...cavity.levels.map((p) => p.depth?.value ?? 0)) + PROUD,
    cures: s.waitForGlue,
    wide: across > WIDE,
  };
}
