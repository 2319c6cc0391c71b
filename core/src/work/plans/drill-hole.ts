import { actsOf } from '../../operation/index.js';
import { newHole } from '../need.js';
import { planRow } from '../plan-row.js';

export const drillHole = planRow('drillHole', ({ does }, { state: { tools }, today }) =>
  [...actsOf(does, 'sizeHole').map((w) => w.diameter.value)].flatMap((d) => newHole(d, tools, today)),
);
