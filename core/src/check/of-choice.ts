import { isHardwareChoice, isPickupChoice } from './choice.js';
import { placeAt, type PlaceOfPart, type PlanState } from './place.js';
import type { Site } from './row.js';
import { siteOf, type PartSite } from './site.js';
import type { Verdict } from './verdict.js';

/** A comparison at a pickup's place. */
export function ofPickup(compare: (place: PlaceOfPart) => readonly Verdict[]): (site: Site) => readonly Verdict[] {
  return ({ after, choice }) => (isPickupChoice(choice) ? compare(placeAt(after, choice)) : []);
}

/** A comparison at the place of any other part, with what was found before the plan; nothing where no part is chosen. */
export function ofHardware(compare: (site: PartSite, found: PlanState) => readonly Verdict[]): (site: Site) => readonly Verdict[] {
  return (site) => {
    const here = partSite(site);
    return here ? compare(here, site.found) : [];
  };
}

/** All comparisons ask for the same place one after the other: the last one is kept. */
let last: { readonly site: Site; readonly here: PartSite | null } | null = null;

function partSite(site: Site): PartSite | null {
  if (last?.site !== site) {
    const { rows, after, plan, choice } = site;
    last = { site, here: isHardwareChoice(choice) ? siteOf(rows, after, plan, choice) : null };
  }
  return last.here;
}
