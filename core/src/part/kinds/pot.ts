import { about, panel, range, POT_THREADS, POT_TRAITS, type PartRow } from '../part-row.js';

/** A potentiometer. */
export const pot: PartRow = {
  kind: 'pot',
  group: 'pots',
  sizes: {
    ...panel('3/8-32', { threadLength: about(9.5, 3.5) }),
    body: range(23.5, 24.5),
    depthBelow: range(12, 15),
    shaft: range(6, 6.35),
    knob: null,
    knobBore: null,
  },
  threads: POT_THREADS,
  traits: { ...POT_TRAITS, tracks: ['one', 'two', 'blend'] },
  goes: { holes: ['pot', 'switch', 'other'] },
  hangs: true,
  wired: true,
  resists: true,
  electric: ['tolerance'],
};
