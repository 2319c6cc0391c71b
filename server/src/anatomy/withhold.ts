import { dimensionAt, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import { isState, type AnyTarget } from '@rinnovo/core/quantity';

/** The document without the values that are being read again blind: they are stated as not measured until the second reading is in. A state is none of its values. */
export function withDimensionHidden(document: Anatomy, targets: readonly AnyTarget[]): Anatomy {
  return targets.reduce((a, target) => (!isState(target) && dimensionAt(a, target).exists ? withDimension(a, target, null) : a), document);
}
