import type { OperationWords } from './row.js';

export const putInsertBack: OperationWords = {
  kind: 'putInsertBack',
  name: 'Put the insert back',
  steps: {
    putInsert: {
      card: () => 'Put the insert back into its slot. Check that it sits flush.',
      logged: 'insert put back',
    },
  },
};
