import type { OperationWords } from './row.js';

export const meterPart: OperationWords = {
  kind: 'meterPart',
  name: 'Meter the new pickup',
  steps: {
    meter: {
      card: ({ part = '' }) => `Meter ${part === '' ? 'the new pickup' : part} before soldering.`,
      logged: 'pickup metered',
    },
  },
};
