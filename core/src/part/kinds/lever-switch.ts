import { about, range, type PartRow } from '../part-row.js';

/** A lever with its blade in a slot. */
export const leverSwitch: PartRow = {
  kind: 'lever switch',
  group: 'switches',
  sizes: { slotLength: range(26, 30), slotWidth: about(2, 0.5), screwSpacing: about(41.3, 0.3), bodyLength: null, bodyWidth: null, depthBelow: range(25, 40) },
  threads: ['6-32', 'M3', 'M3.5'],
  goes: { slots: true },
  hangs: true,
  wired: true,
  switches: true,
  takes: ['machine screw'],
};
