import type { GeometryEvaluator } from '../measure/index.js';
import { gapApart, gapInside } from './gap.js';
import type { Region } from './region.js';

/** Measures the distance of a working's geometry node again from the outlines it carries. */
export const measureAgain: GeometryEvaluator = (node) => {
  const measure = node.measure === 'inside' ? gapInside : gapApart;
  return measure(node.a as Region, node.b as Region).clearance;
};
