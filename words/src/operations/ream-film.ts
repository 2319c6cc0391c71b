import type { OperationWords } from './row.js';

export const reamFilm: OperationWords = {
  kind: 'reamFilm',
  name: 'Ream the finish out',
  steps: {
    reamTo: {
      card: () => 'Turn the reamer by hand, from the show side. Stop when the dust turns from finish to wood. Measure the hole.',
      logged: 'finish reamed out',
    },
  },
};
