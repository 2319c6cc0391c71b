import type { OperationWords } from './row.js';

export const fitSpacer: OperationWords = {
  kind: 'fitSpacer',
  name: 'Fit the spacer',
  steps: {
    setSpacer: {
      card: () => 'Set the spacer or block under the part and screw it down.',
      logged: 'spacer fitted',
    },
  },
};
