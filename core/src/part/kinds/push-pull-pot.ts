import { about, panel, range, POT_THREADS, POT_TRAITS, type PartRow } from '../part-row.js';

/** A pot with a switch on its shaft. */
export const pushPullPot: PartRow = {
  kind: 'push-pull pot',
  group: 'switches',
  sizes: {
    ...panel('3/8-32', { threadLength: about(9.5, 3.5) }),
    body: range(23.5, 24.5),
    depthBelow: range(28, 35),
    shaft: range(6, 6.35),
    knob: null,
    knobBore: null,
  },
  threads: POT_THREADS,
  traits: POT_TRAITS,
  goes: { holes: ['pot', 'switch'] },
  hangs: true,
  wired: true,
  resists: true,
  electric: ['tolerance'],
  switches: true,
};
