import type { OperationWords } from './row.js';

export const widenCavity: OperationWords = {
  kind: 'widenCavity',
  name: 'Widen the cavity',
  steps: {
    widenTo: {
      card: (n) => `Lay ${n['part']} in place. Mark its outline plus the clearance. Rout to the line, in passes.`,
      logged: 'widened to the line',
    },
  },
};
