import { panel, range, type PartRow } from '../part-row.js';

/** A toggle in a round hole. */
export const toggleSwitch: PartRow = {
  kind: 'toggle switch',
  group: 'switches',
  sizes: { ...panel('15/32-32', {}), body: null, depthBelow: range(25, 50) },
  threads: ['15/32-32'],
  goes: { holes: ['pot', 'switch'] },
  hangs: true,
  wired: true,
  switches: true,
};
