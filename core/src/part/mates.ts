import type { HardwareKind } from './hardware-kinds.js';

/** Kinds that are screwed into one another: the first goes into the second, which stays where it is. */
const MATES: readonly (readonly [HardwareKind, HardwareKind])[] = [
  ['stud', 'bush'],
  ['machine screw', 'lever switch'],
];

/** Does a part of this kind go into one of that kind, by its thread? */
export function goesInto(kind: string, into: string): boolean {
  return MATES.some(([p, q]) => p === kind && q === into);
}
