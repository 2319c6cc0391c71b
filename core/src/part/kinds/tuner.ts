import { about, range, type PartRow } from '../part-row.js';

/** A tuner. */
export const tuner: PartRow = {
  kind: 'tuner',
  group: 'tuners',
  sizes: {
    bushing: range(8.5, 10),
    outerStep: range(11, 12),
    washer: null,
    post: about(6.35, 0.2),
    headstockLeast: null,
    headstockMost: null,
    pitch: range(24.8, 26),
  },
  shaped: true,
  traits: { fixing: ['press-in bushing', 'screwed bushing'] },
  goes: { holes: ['tuner'] },
  press: { size: 'bushing', knurls: false, where: ['fixing', 'press-in bushing'] },
  onHeadstock: true,
};
