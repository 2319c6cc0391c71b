import { constant, leaf, setting, sum, type Dimension, type Working } from '../measure/index.js';
import type { Neck } from './anatomy.js';
import { scaleFromFrets } from './frets.js';

export type ScaleWay = 'frets' | 'twelfth' | 'saddle';

/** A scale length as one way gives it, mm, with its sum. */
export interface ScaleBy {
  readonly way: ScaleWay;
  readonly working: Working;
}

/** A saddle stands so much beyond the scale: 1 to 5 mm. */
const BEYOND = constant(3, 'trade', 'Scale three ways');
const BEYOND_LIMIT = constant(2, 'trade', 'Scale three ways');
/** A compensated nut stands up to this nearer to the twelfth fret, mm. */
const NUT_SHORT = constant(1, 'trade', 'Scale three ways');

const allowed = (value: number, limit: number): Dimension => ({ value, limit, basis: { kind: 'setting', key: 'trade' } });

/**
 * The scale by every way that was measured: from two frets, which ignores where nut and saddle sit; from nut to twelfth fret, doubled; from nut to saddle less its
 * compensation. 305.67 between frets 1 and 13: 305.67 / 0.47194 = 647.7 [law].
 */
export function scaleWays({ firstToThirteenth, nutToTwelfth, nutToSaddle, zeroFret }: Neck): readonly ScaleBy[] {
  const out: ScaleBy[] = [];
  if (firstToThirteenth) {
    const a = leaf('firstToThirteenth', firstToThirteenth, { quantity: 'firstToThirteenth', feature: 'neck' });
    out.push({ way: 'frets', working: { op: 'quotient', label: 'scaleByFrets', a, b: setting('shareOfFrets', 1 / scaleFromFrets(0, 1), 'law') } });
  }
  if (nutToTwelfth) {
    const read = leaf('nutToTwelfth', nutToTwelfth, { quantity: 'nutToTwelfth', feature: 'neck' });
    const twice: Working = { op: 'product', label: 'twice', a: setting('two', 2, 'two'), b: read };
    // half of what a nut may be short, doubled, give or take as much: a crown is never short
    const short = zeroFret ? [] : [[1, leaf('nutShort', allowed(NUT_SHORT.value, NUT_SHORT.value))] as const];
    out.push({ way: 'twelfth', working: sum('scaleByTwelfth', [1, twice], ...short) });
  }
  if (nutToSaddle) {
    const read = leaf('nutToSaddle', nutToSaddle, { quantity: 'nutToSaddle', feature: 'neck' });
    out.push({ way: 'saddle', working: sum('scaleBySaddle', [1, read], [-1, leaf('saddleBeyond', allowed(BEYOND.value, BEYOND_LIMIT.value))]) });
  }
  return out;
}
