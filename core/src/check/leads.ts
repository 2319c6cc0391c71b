import type { PlaceOfPart } from './place.js';
import { countVerdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { COUNT, rowsOf } from './row.js';

/** Has the part the leads that the wiring wanted needs? Two leads mean no split and no series/parallel [trade]. */
function leads({ part, position, choice }: PlaceOfPart): readonly Verdict[] {
  return part ? [countVerdict('leads', { feature: position.id }, part.leads, choice.leadsNeeded)] : [];
}

/** Leads enough. */
export const LEADS = rowsOf(['pickup'], ofPickup(leads), {
  leads: COUNT,
});
