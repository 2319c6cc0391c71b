import { file } from '../need.js';
import { planRow } from '../plan-row.js';

export const openSlot = planRow('openSlot', (_, { state, today }) => [file(state.tools, today)]);
