import type { OperationWords } from './row.js';

export const removeHardware: OperationWords = {
  kind: 'removeHardware',
  name: 'Remove the part',
  steps: {
    takeHardwareOut: {
      card: () => 'Remove the part. Bag it with its screws.',
      logged: 'part removed',
    },
  },
};
