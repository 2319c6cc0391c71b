import type { OperationWords } from './row.js';

export const tracePlate: OperationWords = {
  kind: 'tracePlate',
  name: 'Trace the mounted plate',
  steps: {
    mountPlate: {
      card: () => 'Screw the plate down in its final position.',
      logged: 'plate mounted',
    },
    traceOutline: {
      card: () => 'Trace its outer edge and its window. Mark the screw holes.',
      logged: 'outline traced',
    },
  },
};
