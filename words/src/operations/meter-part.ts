import type { OperationWords } from './row.js';

export const meterPart: OperationWords = {
  kind: 'meterPart',
  name: 'Meter the new pickup',
  steps: {
    meter: {
      card: ({ part = '', coil = '' }) => `Meter ${part === '' ? 'the new pickup' : part}${coil === '' ? '' : `, coil ${coil}`} before soldering.`,
      logged: 'pickup metered',
    },
  },
};
