import type { Dimension } from '../measure/index.js';
import { canBe, QUANTITIES, targetKey, type Target } from '../quantity/index.js';
import type { Anatomy } from './anatomy.js';
import { targetsOf } from './compare.js';
import { dimensionAt } from './dimension-at.js';

/** A dimension that cannot be true, and between what it could be; mm. */
export interface Impossible {
  readonly target: Target;
  readonly value: number;
  readonly min: number;
  readonly max: number;
}

/**
 * What of an anatomy cannot be true on any instrument, or not on this one: a thickness of −40, a scale of 0, a floor 500 deep in 41.5. What stood so before is not told again.
 */
export function impossibleIn(next: Anatomy, before: Anatomy | null = null): readonly Impossible[] {
  const known = before ? new Map(targetsOf(before).map((t) => [targetKey(t), valueAt(before, t)?.value])) : new Map<string, number>();
  return targetsOf(next).flatMap((target): Impossible[] => {
    const value = valueAt(next, target)?.value;
    if (value === undefined || known.get(targetKey(target)) === value) return [];
    const { min, max } = QUANTITIES[target.quantity];
    const most = target.quantity === 'levelDepth' ? Math.min(max, woodOf(next) ?? max) : max;
    return canBe({ ...QUANTITIES[target.quantity], max: most }, value) ? [] : [{ target, value, min, max: most }];
  });
}

/** All the wood that a body can have between its faces: through it goes a cavity at most. */
function woodOf({ body: { thickness, carve } }: Anatomy): number | null {
  return thickness && thickness.value + thickness.limit + (carve.height ? carve.height.value + carve.height.limit : 0);
}

function valueAt(a: Anatomy, target: Target): Dimension | null {
  const at = dimensionAt(a, target);
  return at.exists ? at.dimension : null;
}
