import { panel, range, type PartRow } from '../part-row.js';

/** An output jack. */
export const jack: PartRow = {
  kind: 'jack',
  group: 'jacks',
  sizes: { ...panel('3/8-32', {}), body: range(22, 30), depthBelow: range(22, 30), leafSwing: range(6, 8), plugInside: range(30, 32) },
  threads: ['3/8-32', 'M9 × 0.75'],
  traits: { wiring: ['mono', 'switched', 'stereo'] },
  goes: { holes: ['pot', 'jack', 'other'] },
  hangs: true,
  wired: true,
  plugged: true,
};
