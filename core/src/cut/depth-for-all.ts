import type { Settings } from '../operation/index.js';
import type { Pickup } from '../part/index.js';
import { upToHalf } from './route-for-part.js';

/** The floor that takes each of several parts, mm: the lowest base with what is wanted under it. Bases at 16.5 and 18.2, 1.5 under them: 20.0 [law]. Null without a base. */
export function depthForAll(parts: readonly Pickup[], s: Settings): number | null {
  const lowest = parts.flatMap((p) => p.tiers.filter((l) => l.id === 'base').map((l) => l.lowest.value));
  return lowest.length > 0 ? upToHalf(Math.max(...lowest) + s.routeUnder) : null;
}
