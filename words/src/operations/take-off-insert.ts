import type { OperationWords } from './row.js';

export const takeOffInsert: OperationWords = {
  kind: 'takeOffInsert',
  name: 'Remove the insert from the plate',
  steps: {},
};
