import type { OperationWords } from './row.js';

export const removeHardware: OperationWords = {
  kind: 'removeHardware',
  name: 'Remove the part',
  steps: {
    markThrough: { card: () => 'Mark through the screw holes and along the edge before it is lifted.', logged: 'place marked' },
    takeHardwareOut: {
      card: () => 'Remove the part. Bag it with its screws.',
      logged: 'part removed',
    },
  },
};
