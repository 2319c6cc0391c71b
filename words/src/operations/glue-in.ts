import type { OperationWords } from './row.js';

export const glueIn: OperationWords = {
  kind: 'glueIn',
  name: 'Glue it in',
  steps: {
    wickGlue: {
      card: (n) =>
        `Set ${n['part']} dry and square. Touch one drop of thin glue to its edge. Wipe the finish at once. Warmth or light pressure lets it go again.`,
      logged: 'held with thin glue',
    },
  },
};
