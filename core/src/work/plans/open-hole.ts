import { holeSteps } from '../../cut/index.js';
import { actsOf } from '../../operation/index.js';
import { drills } from '../need.js';
import { planRow } from '../plan-row.js';

export const openHole = planRow('openHole', ({ does }, { state: { anatomy, tools }, today }) =>
  actsOf(does, 'sizeHole').flatMap((w) => {
    const now = anatomy.holes.find((h) => h.id === w.hole)?.diameter?.value ?? 0;
    return drills(holeSteps(now, w.diameter.value, tools), tools, today);
  }),
);
