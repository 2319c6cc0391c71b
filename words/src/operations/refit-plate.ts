import type { OperationWords } from './row.js';

export const refitPlate: OperationWords = {
  kind: 'refitPlate',
  name: 'Put the old plate back',
  steps: {
    putPlateBack: {
      card: () => 'Put the old plate back with its own screws. Store the new one.',
      logged: 'old plate put back',
    },
  },
};
