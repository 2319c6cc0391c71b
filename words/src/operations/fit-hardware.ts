import type { OperationWords } from './row.js';

export const fitHardware: OperationWords = {
  kind: 'fitHardware',
  name: 'Fit the part',
  steps: {
    fitHardware: {
      card: (n) => `Fit ${n['part'] === '' ? 'the original part' : n['part']}. Wax the screws and drive them by hand.`,
      logged: 'part fitted',
    },
  },
};
