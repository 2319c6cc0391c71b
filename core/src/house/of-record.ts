import { boundRecord } from './bound.js';
import { HOUSE } from './house.js';

export const { asSlipped, beyondLine, consequenceOf, goBack, levelsCut, placesWorkedOn } = boundRecord(HOUSE);
