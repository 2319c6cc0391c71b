import type { CuttingPlan } from '../cut/index.js';
import type { Settings } from '../operation/index.js';

/** Can this shop do it with what it owns? Only cutting needs special tools. */
export function hasTools(cutting: CuttingPlan | null): boolean {
  if (!cutting) return true;
  return cutting.bit !== null && (cutting.passes?.problems.length ?? 0) === 0 && cutting.wells.every((w) => w.bit !== null);
}

/** What a way out costs its owner, in the smallest coin: parts, and the working minutes at the shop's rate. 12.90 and 201 minutes at 60.00 an hour: 213.90 [law]. */
export function priceWithWork(parts: number, minutes: number, s: Settings): number {
  return parts + Math.round((minutes * s.ratePerHour) / 60);
}
