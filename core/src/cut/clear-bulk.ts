import type { Working } from '../measure/index.js';
import { valueOf } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { StraightBit, Tool } from '../part/index.js';

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

/** The ridges between bores with the thickest straight bit that reaches the rims' depth; null when none does. 15.5 with pass 6: 6, 12, 15.5. */
export function planClearing(rimDepth: Working, tools: readonly Tool[], s: Settings): BulkClearing | null {
  const depth = valueOf(rimDepth);
  const bits = tools.filter((t): t is StraightBit => t.kind === 'straight' && t.reach >= depth).sort((a, b) => b.diameter - a.diameter);
  const bit = bits[0];
  if (!bit) return null;
  const step = Math.min(s.passDepth, bit.cuttingLength);
  const count = Math.ceil(depth / step - 1e-9);
  return { bit, to: rimDepth, passes: Array.from({ length: count }, (_, i) => Math.min(depth, (i + 1) * step)), leave: s.leaveForTemplateBit };
}
