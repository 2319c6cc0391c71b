import { RISES_WITHIN, steepest, type Anatomy, type Cavity, type Level } from '../instrument/index.js';
import { leaf, type Leaf } from '../measure/index.js';
import { nearest, regionBoundary, segmentsOf, type Region } from '../shape/index.js';

/**
 * What the unknown curve of a carved or bevelled top costs the walls of a cut from there: where the surface still rises, a router that rides on it leans, and the foot of
 * a wall lies off by its depth times the slope. 18 deep under a carve of 12: 18 × 0.314 = ± 5.7; nothing where the top is flat again, or from the back [law].
 */
export function leanLeaves({ body }: Anatomy, { face }: Cavity, levels: readonly Level[], region: Region): readonly Leaf[] {
  const { carve, outline } = body;
  if (face !== 'top' || carve.kind === 'flat' || !carve.height) return [];
  if (outline && nearest(regionBoundary(region), segmentsOf(outline.outline)).distance >= RISES_WITHIN[carve.kind]) return [];
  const deepest = Math.max(0, ...levels.map((p) => p.depth?.value ?? 0));
  const limit = deepest * steepest(carve.kind, carve.height.value);
  return [leaf('carveLean', { value: 0, limit, basis: carve.height.basis }, { quantity: 'carveHeight', feature: 'body' })];
}
