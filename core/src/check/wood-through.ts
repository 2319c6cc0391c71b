import type { Anatomy } from '../instrument/index.js';
import { leaf, type Dimension, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { sure } from './site.js';

/** How much wood lies between the two faces of the body at a place: what has to be known for it, and its terms of a sum. */
export interface WoodThrough {
  readonly needs: readonly (readonly [Dimension | null, Target])[];
  readonly terms: () => readonly (readonly [1, Leaf])[];
}

/**
 * The body's thickness at its edge, and where the top is carved or bevelled what it rises by: nobody knows the curve, so somewhere between nothing and its height.
 * 44 under a carve of 12: 50 ± 6 [law].
 */
export function woodThrough({ body }: Anatomy): WoodThrough {
  const { thickness, carve } = body;
  const thick: Target = { quantity: 'bodyThickness', feature: 'body' };
  const rise: Target = { quantity: 'carveHeight', feature: 'body' };
  const isFlat = carve.kind === 'flat';
  const half = ({ value, limit, basis }: Dimension): Dimension => ({ value: value / 2, limit: (value + limit) / 2, basis });
  return {
    needs: [[thickness, thick], ...(isFlat ? [] : [[carve.height, rise] as const])],
    terms: () => [[1, leaf('bodyThickness', sure(thickness), thick)], ...(isFlat ? [] : [[1, leaf('carveRise', half(sure(carve.height)), rise)] as const])],
  };
}
