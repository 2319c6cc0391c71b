import type { OperationWords } from './row.js';

export const fixTemplate: OperationWords = {
  kind: 'fixTemplate',
  name: 'Fix the template',
  steps: {
    layTemplate: {
      card: () => 'Lay the template on the traced lines and the centre line. Check the hidden edge all around. Fix the template.',
      logged: 'template fixed',
    },
  },
};
