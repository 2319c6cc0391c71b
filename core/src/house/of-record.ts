import { boundRecord } from './bound.js';
import { HOUSE } from './house.js';

export const { afterStep, asSlipped, beyondLine, consequenceOf, goBack, placesWorkedOn, stepMeanwhile } = boundRecord(HOUSE);
