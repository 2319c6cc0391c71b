import { dimensionAt, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import { isState, type AnyTarget } from '@rinnovo/core/quantity';

/** The document without the values that are being read again blind: they are stated as not measured until the second reading is in. A state is none of its values. */
export function withDimensionHidden(document: Anatomy, targets: readonly AnyTarget[]): Anatomy {
  return targets.reduce((a, target) => (!isState(target) && dimensionAt(a, target).exists ? withDimension(a, target, null) : a), document);
}

/** A document that was put back with the gaps that it was told with: what stands there now stays. */
export function withGapsFilled(now: Anatomy, next: Anatomy, targets: readonly AnyTarget[]): Anatomy {
  return targets.reduce((a, target) => {
    if (isState(target)) return a;
    const [was, is] = [dimensionAt(now, target), dimensionAt(a, target)];
    return was.exists && was.dimension && is.exists && !is.dimension ? withDimension(a, target, was.dimension) : a;
  }, next);
}
