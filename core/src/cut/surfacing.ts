import { setting, sum, type Working } from '../measure/index.js';

/** Light cuts with the router's sled on two rails, down to a height. */
export interface Surfacing {
  /** Height of the work after each round, mm. */
  readonly heights: readonly number[];
  /** How far the bit stands out below the sled for each round. */
  readonly projections: readonly Working[];
}

/**
 * Rounds of at most `step` from one height to another, with rails and a sled's base of so much over the bench: projection = rails + base − height [law].
 * From 8.0 to 5.5 by 1.0, rails 40 and base 6: 7.0, 6.0, 5.5; projections 39.0, 40.0, 40.5. Nothing where there is nothing to take.
 */
export function surfacing(from: number, to: number, step: number, rails: number, base: number): Surfacing {
  const rounds = to < from && step > 0 ? Math.ceil((from - to) / step - 1e-9) : 0;
  const heights = Array.from({ length: rounds }, (_, i) => Math.max(to, from - (i + 1) * step));
  const projections = heights.map((h) =>
    sum('projection', [1, setting('railHeight', rails, 'typed')], [1, setting('sledBase', base, 'typed')], [-1, setting('targetHeight', h, 'typed')]),
  );
  return { heights, projections };
}
