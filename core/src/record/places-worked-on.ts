import { actsOfChoice, choiceRow, type CheckRows, type Choice } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';

/** The features that the work of a choice can change, by their ids. */
export function placesWorkedOn(rows: CheckRows, choice: Choice, anatomy: Anatomy): ReadonlySet<string> {
  const touched = actsOfChoice(choice).flatMap((act) => {
    if ('cavity' in act) return [typeof act.cavity === 'string' ? act.cavity : act.cavity.id];
    if (act.kind === 'addHole') return [act.hole.id];
    if (act.kind === 'sizePlate') return [act.plate];
    return 'hole' in act ? [act.hole] : [];
  });
  return new Set([...choiceRow(rows, choice).places(choice, anatomy), ...touched]);
}
