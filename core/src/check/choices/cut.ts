import type { ChoiceRow } from '../row.js';
import { actsOfChoice, type CutChoice } from '../choice.js';
import { isPlaceThere } from './hardware.js';

/** A cut by itself, with no part: nothing else than its own work. */
export const cut: ChoiceRow<CutChoice> = {
  kind: 'cut',
  isThere: (anatomy, { place }) => isPlaceThere(anatomy, place),
  places: (choice) => [choice.id, ...(choice.place.on === 'feature' ? [choice.place.feature] : []), ...made(choice)],
  works: (_, choice) => choice.work,
  bare: (choice) => ({ ...choice, work: [] }),
  fits: null,
  found: () => null,
};

/** What it makes that was not there. */
function made(choice: CutChoice): readonly string[] {
  return actsOfChoice(choice).flatMap((act) => (act.kind === 'addCavity' ? [act.cavity.id] : act.kind === 'addHole' ? [act.hole.id] : []));
}
