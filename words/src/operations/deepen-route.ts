import type { OperationWords } from './row.js';

export const deepenRoute: OperationWords = {
  kind: 'deepenRoute',
  name: 'Deepen the cavity',
  steps: {},
};
