import type { OperationWords } from './row.js';

export const openSlot: OperationWords = {
  kind: 'openSlot',
  name: 'Enlarge the slot',
  steps: {
    openSlotTo: {
      card: (n) => `File the ends and sides of the slot evenly. Move the lever of ${n['part']} through its full travel.`,
      logged: 'slot filed',
    },
  },
};
