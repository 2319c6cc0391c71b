import type { OperationWords } from './row.js';

export const boreWells: OperationWords = {
  kind: 'boreWells',
  name: 'Bore the wells',
  steps: {},
};
