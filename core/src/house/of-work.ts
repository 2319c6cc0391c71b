import { boundWork } from './bound.js';
import { HOUSE } from './house.js';

export const { atHand, beforeCut, benchNow, cardsOf, confirmationsFor, minutesOf, operationsNow, operationsOfBench, plannedWork } = boundWork(HOUSE);
