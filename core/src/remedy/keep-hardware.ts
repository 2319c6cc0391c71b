import type { HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

/** Keep what is there, or leave the place as it is: the baseline, never ranked. */
export function keepHardware({ found }: HardwareGround): readonly Proposal[] {
  return [{ id: 'keep', kind: 'keep', sets: { part: found }, excludes: 'all', risk: 0, price: 0, lacks: [] }];
}
