import type { CuttingPlan } from '../cut/index.js';
import { OPERATIONS, type OperationKind, type Settings } from '../operation/index.js';
import type { Proposal } from './proposal.js';

/** Working minutes of one operation; the passes and their set-ups count one by one. */
export function minutesOfOperation(kind: OperationKind, cutting: CuttingPlan | null, s: Settings): number {
  if (kind === 'routePasses') return (cutting?.passes?.passes.length ?? 0) * (s.minutesPass + s.minutesSetUp);
  return OPERATIONS[kind].minutes.reduce((sum, key) => sum + s[key], 0);
}

/** Working minutes of a whole remedy. */
export function minutesOf(proposal: Proposal, cutting: CuttingPlan | null, s: Settings): number {
  return proposal.operations.reduce((sum, kind) => sum + minutesOfOperation(kind, cutting, s), 0);
}

/** Can this shop do it with what it owns? Only cutting needs special tools. */
export function hasTools(cutting: CuttingPlan | null): boolean {
  if (!cutting) return true;
  return cutting.bit !== null && (cutting.passes?.problems.length ?? 0) === 0 && cutting.wells.every((w) => w.bit !== null);
}

/** What a way out costs its owner, in the smallest coin: parts, and the working minutes at the shop's rate. 12.90 and 201 minutes at 60.00 an hour: 213.90 [law]. */
export function priceWithWork(parts: number, minutes: number, s: Settings): number {
  return parts + Math.round((minutes * s.ratePerHour) / 60);
}
