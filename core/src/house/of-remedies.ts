import { boundRemedies } from './bound.js';
import { HOUSE } from './house.js';

export const { optionsFor, optionsInTurn, waysOf } = boundRemedies(HOUSE);
