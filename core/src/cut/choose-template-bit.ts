import { valueOf, type Working } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { TemplateBit, Tool } from '../part/index.js';
import { contactWanted } from './passes.js';
import { leastTemplate } from './set-up.js';

/** Why a template bit will not do. */
export type BitRefusal =
  | { readonly kind: 'cornerTooTight'; readonly cutterRadius: number; readonly corner: number }
  | { readonly kind: 'templateTooThin'; readonly needed: Working; readonly has: number }
  | { readonly kind: 'reachTooShort'; readonly reach: number; readonly depth: number }
  | { readonly kind: 'bearingOff'; readonly bearing: number; readonly cutter: number }
  | { readonly kind: 'cannotPlunge' };

export interface BitVerdict {
  readonly bit: TemplateBit;
  readonly refusal: BitRefusal | null;
  /** The least template thickness for it, with its sum. */
  readonly needed: Working;
}

/** Every template bit of the shop, with the reason against it where there is one; the first that will do is the largest. Where nothing is bored before it the bit plunges. */
export function judgeTemplateBits(tools: readonly Tool[], corner: number, depth: number, s: Settings, plunges = false): readonly BitVerdict[] {
  const bits = tools.filter((t): t is TemplateBit => t.kind === 'template').sort((a, b) => b.diameter - a.diameter || a.cuttingLength - b.cuttingLength);
  return bits.map((bit) => ({
    bit,
    refusal: refusalOf(bit, corner, depth, s, plunges),
    needed: leastFor(bit, s),
  }));
}

function leastFor(bit: TemplateBit, s: Settings): Working {
  return leastTemplate(bit.cuttingLength, Math.min(s.passDepth, bit.cuttingLength), contactWanted(bit, s));
}

/** A bearing and its cutter are as wide as one another to this, mm [memory]. */
const FLUSH = 0.05;

function refusalOf(bit: TemplateBit, corner: number, depth: number, s: Settings, plunges: boolean): BitRefusal | null {
  if (bit.diameter / 2 > corner + 1e-6) return { kind: 'cornerTooTight', cutterRadius: bit.diameter / 2, corner };
  const needed = leastFor(bit, s);
  if (valueOf(needed) > s.templateThickness + 1e-9) return { kind: 'templateTooThin', needed, has: s.templateThickness };
  if (depth > bit.reach + 1e-9) return { kind: 'reachTooShort', reach: bit.reach, depth };
  if (bit.bearing !== undefined && Math.abs(bit.bearing - bit.diameter) > FLUSH) return { kind: 'bearingOff', bearing: bit.bearing, cutter: bit.diameter };
  return plunges && bit.endCutting === false ? { kind: 'cannotPlunge' } : null;
}
