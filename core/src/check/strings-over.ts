import { amongStrings, type Anatomy, type AmongStrings, type PickupPosition } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';

/**
 * The strings that lie over a pickup place, the lowest first: those of its own, or all; the middles of courses where the part has a pole for each course and not for
 * each string.
 */
export function stringsOver({ strings }: Anatomy, position: Pick<PickupPosition, 'strings'>, part: Pick<Pickup, 'strings'>): readonly AmongStrings[] {
  const eachPole = part.strings === strings.count || !strings.courses;
  const all = amongStrings(strings, !eachPole);
  if (!position.strings) return all;
  const [first, last] = position.strings;
  return all.slice(Math.max(0, all.length - last), all.length - first + 1);
}
