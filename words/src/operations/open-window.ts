import type { OperationWords } from './row.js';

export const openWindow: OperationWords = {
  kind: 'openWindow',
  name: 'File the window wider',
  steps: {
    coverMagnets: { card: () => 'Cover the pickups and their magnets with tape.', logged: 'magnets covered' },
    fileWindow: {
      card: (n) => `File the window evenly all around. Test-fit ${n['part']} often. Break the edge.`,
      logged: 'window filed',
    },
  },
};
