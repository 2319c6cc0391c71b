import { actsOf } from '../../operation/index.js';
import { depthTool, router } from '../need.js';
import { planRow } from '../plan-row.js';

export const cutChannel = planRow('cutChannel', ({ does }, { state: { tools }, today }) => [
  ...actsOf(does, 'addLevels').map((w) => router(tools, Math.max(0, ...w.levels.map((p) => p.depth?.value ?? 0)), today)),
  depthTool(tools),
]);
