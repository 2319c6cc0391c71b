import type { OperationWords } from './row.js';

export const drillHole: OperationWords = {
  kind: 'drillHole',
  name: 'Drill the hole',
  steps: {
    drillNew: {
      card: (n) =>
        `${n['through'] === 'no' ? 'Mark the centre. Set the stop. Drill a pilot, then drill to depth' : 'Mark the centre. Drill a pilot, then drill to size'}${n['bit'] === '' ? '' : ` with the ${n['bit']}`}.`,
      logged: 'hole drilled',
    },
  },
};
