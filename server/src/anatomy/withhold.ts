import { dimensionAt, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import type { Target } from '@rinnovo/core/quantity';

/** The document without the values that are being read again blind: they are told as not measured until the second reading is in. */
export function withDimensionHidden(document: Anatomy, targets: readonly Target[]): Anatomy {
  return targets.reduce((a, target) => (dimensionAt(a, target).exists ? withDimension(a, target, null) : a), document);
}
