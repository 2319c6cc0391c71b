import { about, range, type PartRow } from '../part-row.js';

/** A switch that is slid in a slot, held by two screws. */
export const slideSwitch: PartRow = {
  kind: 'slide switch',
  group: 'switches',
  sizes: {
    slotLength: range(10, 14),
    slotWidth: range(5, 7),
    screwSpacing: about(28.5, 1),
    bodyLength: range(19, 24),
    bodyWidth: range(11, 14),
    depthBelow: range(10, 18),
  },
  threads: ['M2.5', 'M3', '4-40'],
  goes: { slots: true },
  hangs: true,
  wired: true,
  switches: true,
  takes: ['machine screw'],
};
