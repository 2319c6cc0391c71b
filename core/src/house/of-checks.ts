import { boundChecks } from './bound.js';
import { HOUSE } from './house.js';

export const { bestInRoute, cuttingFor, evaluateChoice, evaluateIn, evaluatePlan, evaluateStep, leftBy, levelsCut, worksOf } = boundChecks(HOUSE);
