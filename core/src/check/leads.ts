import type { PlaceOfPart } from './place.js';
import { countVerdict, type Verdict } from './verdict.js';

/** Has the part the leads that the wiring wanted needs? Two leads mean no split and no series/parallel [trade]. */
export function leads({ part, position, choice }: PlaceOfPart): readonly Verdict[] {
  return part ? [countVerdict('leads', { feature: position.id }, part.leads, choice.leadsNeeded)] : [];
}
