import type { OperationWords } from './row.js';

export const plugHole: OperationWords = {
  kind: 'plugHole',
  name: 'Plug the hole',
  steps: {
    boreForPlug: {
      card: (n) => `Bore a clean hole for the dowel${n['bit'] === '' ? '' : ` with the ${n['bit']}`}.`,
      logged: 'bored for the dowel',
    },
    gluePlug: {
      card: (n) => `Glue the ${n['dowel'] === '' ? 'dowel' : n['dowel']} in. Align the grain where it shows.`,
      logged: 'dowel glued',
    },
  },
};
