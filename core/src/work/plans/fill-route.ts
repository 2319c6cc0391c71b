import { block, glue } from '../need.js';
import { planRow } from '../plan-row.js';

export const fillRoute = planRow('fillRoute', (_, { state, cutting }) => [block(state, cutting?.blank ?? null), glue(state)]);
