import type { Cavity, Level } from '../instrument/index.js';
import { leaf, type Dimension, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';

/** How deep a level is, where that was read, and by how much its floor falls from one end to the other. */
export interface DepthHere {
  readonly depth: Dimension | null;
  readonly target: Target;
  readonly fall: Dimension | null;
}

/** The depth of a level of a cavity. */
export function depthOf(cavity: Cavity, { id, depth, fall }: Level): DepthHere {
  return { depth, target: { quantity: 'levelDepth', feature: cavity.id, part: id }, fall: fall ?? null };
}

/**
 * A depth as terms of a sum. A floor that falls is half of the fall deeper at one end and shallower at the other than in its middle, where it was read; at which place of
 * it something lies is not asked, so the half is a limit: 16 with a fall of 1.2: 16 ± 0.6 [law]. Throws RangeError for a depth that nobody read.
 */
export function depthTerms<S extends 1 | -1>(sign: S, label: string, { depth, target, fall }: DepthHere): readonly (readonly [S, Leaf])[] {
  if (!depth) throw new RangeError('a depth that was not asked for');
  const read = leaf(label, depth, target);
  if (!fall) return [[sign, read]];
  const half = { value: 0, limit: (Math.abs(fall.value) + fall.limit) / 2, basis: fall.basis };
  return [
    [sign, read],
    [sign, leaf('floorFall', half, { ...target, quantity: 'floorFall' })],
  ];
}
