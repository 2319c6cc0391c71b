import type { OperationWords } from './row.js';

export const fitPart: OperationWords = {
  kind: 'fitPart',
  name: 'Fit and solder the pickup',
  steps: {
    fit: {
      card: (n) => `Mount ${n['part']} and set its height.`,
      logged: 'pickup mounted',
    },
  },
};
