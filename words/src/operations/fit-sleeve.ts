import type { OperationWords } from './row.js';

export const fitSleeve: OperationWords = {
  kind: 'fitSleeve',
  name: 'Fit the sleeve',
  steps: {
    pressSleeve: {
      card: (n) => `Press the sleeve in. Test-fit ${n['part']}.`,
      logged: 'sleeve pressed in',
    },
  },
};
