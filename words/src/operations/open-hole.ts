import type { OperationWords } from './row.js';

export const openHole: OperationWords = {
  kind: 'openHole',
  name: 'Enlarge the hole',
  steps: {
    scratchFinish: {
      card: () => 'Scratch the finish back with the countersink, turned by hand. It cannot flake then.',
      logged: 'finish scratched back',
    },
    openTo: {
      card: (n) => `Enlarge the hole${n['bit'] === '' ? '' : ` with the ${n['bit']}`}. Turned backwards it tears least.`,
      logged: 'hole enlarged',
    },
  },
};
