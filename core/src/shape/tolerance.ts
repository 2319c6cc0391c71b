/** Lengths below this are one point, mm. */
export const POINT = 1e-7;
/** Greatest distance of a chord from its arc when an outline is flattened for areas, mm. */
export const FLATTEN = 0.001;
/** Spacing of the samples that look for the worst point of an overlap, mm. */
export const SAMPLE = 1.5;
/** A rest thinner than this is flattening, not wood, mm. */
export const SLIVER = 0.01;
