import { boundChecks } from './bound.js';
import { HOUSE } from './house.js';

export const { bestInRoute, cuttingFor, evaluateChoice, evaluateIn, evaluatePlan, levelsCut, worksOf } = boundChecks(HOUSE);
