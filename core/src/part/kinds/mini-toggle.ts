import { panel, type PartRow } from '../part-row.js';

/** A small toggle. */
export const miniToggle: PartRow = {
  kind: 'mini toggle',
  group: 'switches',
  sizes: { ...panel('1/4-40', {}), bodyLength: null, bodyWidth: null, depthBelow: null },
  threads: ['1/4-40'],
  goes: { holes: ['pot', 'switch', 'other'] },
  hangs: true,
  wired: true,
  switches: true,
};
