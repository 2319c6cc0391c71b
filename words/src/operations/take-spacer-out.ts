import type { OperationWords } from './row.js';

export const takeSpacerOut: OperationWords = {
  kind: 'takeSpacerOut',
  name: 'Remove the spacer',
  steps: {
    takeSpacer: {
      card: () => 'Remove the spacer. Store it with the instrument.',
      logged: 'spacer removed',
    },
  },
};
