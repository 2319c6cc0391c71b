import type { OperationWords } from './row.js';

export const testFit: OperationWords = {
  kind: 'testFit',
  name: 'Test-fit the real part',
  steps: {},
};
