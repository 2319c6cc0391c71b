import { glue } from '../need.js';
import { planRow } from '../plan-row.js';

export const glueIn = planRow('glueIn', (_, { state }) => [glue(state)]);
