import type { OperationWords } from './row.js';

export const takeSleeveOut: OperationWords = {
  kind: 'takeSleeveOut',
  name: 'Remove the sleeve',
  steps: {
    pullSleeve: {
      card: () => 'Scratch the finish back around the sleeve, then pull it straight out. Drill out a glued sleeve with a drill of its bore.',
      logged: 'sleeve removed',
    },
  },
};
