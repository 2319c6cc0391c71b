import { fixed, withUnit } from '../locale.js';
import type { OperationWords } from './row.js';

export const boreBulk: OperationWords = {
  kind: 'boreBulk',
  name: 'Bore out the bulk',
  steps: {
    clearBulk: {
      card: (n) =>
        `Clear the ridges freehand with the ${n['bit']}, in ${n['passes']} passes. Stay ${withUnit(fixed(Number(n['leave']), 1), 'mm')} clear of the line.`,
      logged: 'ridges cleared',
    },
  },
};
