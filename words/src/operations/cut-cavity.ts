import type { OperationWords } from './row.js';

export const cutCavity: OperationWords = {
  kind: 'cutCavity',
  name: 'Cut the new cavity',
  steps: {
    layOutline: {
      card: () => 'Lay the plate or the 1 : 1 print on the centre line. Trace it. Fix a template or a fence to the line.',
      logged: 'outline laid out',
    },
  },
};
