import { panel, range, POT_THREADS, type PartRow } from '../part-row.js';

/** A switch that is turned. */
export const rotarySwitch: PartRow = {
  kind: 'rotary switch',
  group: 'switches',
  sizes: { ...panel('3/8-32', {}), body: null, depthBelow: null, shaft: range(6, 6.35), knob: null, knobBore: null },
  threads: POT_THREADS,
  goes: { holes: ['pot', 'switch'] },
  hangs: true,
  wired: true,
  switches: true,
};
