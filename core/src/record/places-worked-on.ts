import { actsOfChoice, type Choice } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';

/** The features that the work of a choice can change, by their ids. */
export function placesWorkedOn(choice: Choice, a: Anatomy): ReadonlySet<string> {
  const touched = actsOfChoice(choice).flatMap((w) =>
    'cavity' in w
      ? [typeof w.cavity === 'string' ? w.cavity : w.cavity.id]
      : w.kind === 'addHole'
        ? [w.hole.id]
        : 'hole' in w && typeof w.hole === 'string'
          ? [w.hole]
          : [],
  );
  if (choice.kind === 'hardware') return new Set([choice.id, ...(choice.place.on === 'feature' ? [choice.place.feature] : []), ...touched]);
  const position = a.positions.find((p) => p.id === choice.position);
  const plates = actsOfChoice(choice).flatMap((w) => (w.kind === 'sizePlate' ? [w.plate] : []));
  return new Set([choice.position, ...(position ? [position.cavity, position.opening] : []), ...plates, ...touched]);
}
