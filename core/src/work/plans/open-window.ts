import { file } from '../need.js';
import { planRow } from '../plan-row.js';

export const openWindow = planRow('openWindow', (_, { state, today }) => [file(state.tools, today)]);
