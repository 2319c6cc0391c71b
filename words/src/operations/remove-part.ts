import type { OperationWords } from './row.js';

export const removePart: OperationWords = {
  kind: 'removePart',
  name: 'Remove the pickup',
  steps: {
    takeOut: {
      card: () => 'Remove the pickup. Bag it with its screws.',
      logged: 'pickup removed',
    },
  },
};
