import type { OperationWords } from './row.js';

export const deepenBore: OperationWords = {
  kind: 'deepenBore',
  name: 'Deepen the hole',
  steps: {
    boreDeeper: {
      card: () => 'Flag the bit. Bore slowly to depth. Clear the dust and measure.',
      logged: 'bored deeper',
    },
  },
};
