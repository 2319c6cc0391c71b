import type { OperationWords } from './row.js';

export const stringUp: OperationWords = {
  kind: 'stringUp',
  name: 'String up',
  steps: { tuneUp: { card: () => 'Fit the strings and bring them to pitch. Start with the outer ones.', logged: 'strung up' } },
};
