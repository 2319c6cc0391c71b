import { actsOf } from '../../operation/index.js';
import { depthTool, router } from '../need.js';
import { planRow } from '../plan-row.js';

export const cutCavity = planRow('cutCavity', ({ does }, { state: { tools }, today }) => [
  ...actsOf(does, 'addCavity').map((w) => router(tools, Math.max(0, ...w.cavity.levels.map((p) => p.depth?.value ?? 0)), today)),
  depthTool(tools),
]);
