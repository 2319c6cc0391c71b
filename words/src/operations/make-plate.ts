import type { OperationWords } from './row.js';

export const makePlate: OperationWords = {
  kind: 'makePlate',
  name: 'Make the plate',
  steps: {
    cutPlate: {
      card: (n) => `Cut the new plate from the old one: ${n['part']}.`,
      logged: 'plate cut',
    },
  },
};
