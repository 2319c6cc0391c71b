import { fixed, withUnit } from '../locale.js';
import type { OperationWords } from './row.js';

export const drillRow: OperationWords = {
  kind: 'drillRow',
  name: 'Drill the row of holes',
  steps: {
    drillRowTo: {
      card: (n) =>
        `Drill all ${n['holes']} holes through the template with the ${n['bit']}. ${n['through'] === 'yes' ? 'Drill the first and the last hole through. Drill the rest from the back, lined up on them.' : `Stop at ${withUnit(fixed(Number(n['depth']), 1), 'mm')}, point included.`}`,
      logged: 'row drilled',
    },
  },
};
