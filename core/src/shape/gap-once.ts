import { gapApart, gapInside, type Gap } from './gap.js';
import type { Region } from './region.js';

/** How a region lies inside another, worked out once for the very same two. */
export const gapInsideOnce = once(gapInside);

/** How far two regions are apart, worked out once for the very same two. */
export const gapApartOnce = once(gapApart);

function once(measure: (a: Region, b: Region) => Gap): (a: Region, b: Region) => Gap {
  const all = new WeakMap<Region, WeakMap<Region, Gap>>();
  return (a, b) => {
    const known = all.get(a) ?? new WeakMap<Region, Gap>();
    const gap = known.get(b) ?? measure(a, b);
    all.set(a, known.set(b, gap));
    return gap;
  };
}
