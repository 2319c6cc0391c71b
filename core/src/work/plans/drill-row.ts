import { actsOf } from '../../operation/index.js';
import { newHole } from '../need.js';
import { planRow } from '../plan-row.js';

/** All holes of a row are of one size. */
export const drillRow = planRow('drillRow', ({ does }, { state: { tools }, today }) =>
  newHole(actsOf(does, 'addHole')[0]?.hole.diameter?.value ?? null, tools, today),
);
