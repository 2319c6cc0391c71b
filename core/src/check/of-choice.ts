import { isHardwareChoice, isPickupChoice } from './choice.js';
import { placeAt, type PlaceOfPart } from './place.js';
import type { Site } from './row.js';
import { siteOf, type PartSite } from './site.js';
import type { Verdict } from './verdict.js';

/** A comparison at a pickup's place. */
export function ofPickup(compare: (place: PlaceOfPart) => readonly Verdict[]): (site: Site) => readonly Verdict[] {
  return ({ after, choice }) => (isPickupChoice(choice) ? compare(placeAt(after, choice)) : []);
}

/** A comparison at the place of any other part; nothing where no part is chosen. */
export function ofHardware(compare: (site: PartSite) => readonly Verdict[]): (site: Site) => readonly Verdict[] {
  return ({ rows, after, plan, choice }) => {
    const site = isHardwareChoice(choice) ? siteOf(rows, after, plan, choice) : null;
    return site ? compare(site) : [];
  };
}
