import type { Working } from '../measure/index.js';
import { valueOf } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { StraightBit, Tool } from '../part/index.js';
import { regionContains, type Outline } from '../shape/index.js';
import { roomForBit, type BoringPlan } from './boring.js';

/** What the straight bit takes between the bores before the template bit comes. */
export interface BulkClearing {
  readonly bit: StraightBit;
  /** Down to the rims of the bores. */
  readonly to: Working;
  /** Depth after each pass, mm. */
  readonly passes: readonly number[];
  /** Kept clear of the line for the template bit, mm. */
  readonly leave: number;
}

/**
 * The ridges between bores with the thickest straight bit that reaches the rims' depth and goes into every bore with the wood left at the line; null when none
 * does. 15.5 with pass 6: 6, 12, 15.5.
 */
export function planClearing(
  { rimDepth, holes }: Pick<BoringPlan, 'rimDepth' | 'holes'>,
  line: Outline,
  tools: readonly Tool[],
  s: Settings,
): BulkClearing | null {
  const depth = valueOf(rimDepth);
  const goesIn = (t: StraightBit): boolean => {
    const room = roomForBit(line, t.diameter, s.leaveForTemplateBit);
    return holes.every((h) => regionContains(room, h));
  };
  const bits = tools.filter((t): t is StraightBit => t.kind === 'straight' && t.reach >= depth).sort((a, b) => b.diameter - a.diameter);
  const bit = bits.find(goesIn);
  if (!bit) return null;
  const step = Math.min(s.passDepth, bit.cuttingLength);
  const count = Math.ceil(depth / step - 1e-9);
  return { bit, to: rimDepth, passes: Array.from({ length: count }, (_, i) => Math.min(depth, (i + 1) * step)), leave: s.leaveForTemplateBit };
}
