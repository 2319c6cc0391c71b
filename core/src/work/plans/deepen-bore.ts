import { actsOf } from '../../operation/index.js';
import { depthTool, newHole } from '../need.js';
import { planRow } from '../plan-row.js';

/** A drill of the hole's own size, and what reads how deep it went. */
export const deepenBore = planRow('deepenBore', ({ does }, { state: { anatomy, tools }, today }) =>
  actsOf(does, 'deepenHole').flatMap((w) => [...newHole(anatomy.holes.find((h) => h.id === w.hole)?.diameter?.value ?? null, tools, today), depthTool(tools)]),
);
