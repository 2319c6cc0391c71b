import { actsOf } from '../../operation/index.js';
import { depthTool, router } from '../need.js';
import { planRow } from '../plan-row.js';

export const deepenRoute = planRow('deepenRoute', ({ does }, { state: { tools }, today }) => [
  ...actsOf(does, 'setDepth').map((w) => router(tools, w.depth.value, today)),
  depthTool(tools),
]);
