import { lies, stringAcross, unknownOfStrings } from '../instrument/index.js';
import { setting, sum, valueOf, type Working } from '../measure/index.js';
import type { Pickup } from '../part/index.js';
import { placePoint, type Point } from '../shape/index.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import { stringsOver } from './strings-over.js';
import { partLeaf, type PlaceOfPart } from './place.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/**
 * How far the outer poles of each row are from the outer of the strings that lie over them, the worse of the two: each where it is, turned with its pickup and off the
 * middle as that is. 35.5 to 52.5 over 635, row at 392 + 93: strings 48.48 apart; poles 49.5 apart in the middle of them are 0.51 off, 4 mm beside it 4.51 [law].
 * Within 1.0 wanted, 2.5 hard [trade].
 */
function polesUnderStrings(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, state } = place;
  if (!part) return [];
  const { anatomy } = state;
  const { maxPoleOffset, polesWithin } = state.settings;
  const minimum = maxPoleOffset - polesWithin;
  const over = stringsOver(anatomy, position, part);
  const [lowest, highest] = [over[0], over.at(-1)];
  return part.poles.rows.map((row, i) => {
    const subject = { feature: position.id, item: `row ${i + 1}` };
    const treble = poleAt(place, part, row, 1);
    const missing = unknownOfStrings(anatomy);
    if (missing.length > 0 || !lowest || !highest) return missingVerdict('polesUnderStrings', subject, missing, minimum, treble);
    const sides = [{ side: 1, string: highest } as const, { side: -1, string: lowest } as const].flatMap(({ side, string }) => {
      const at = poleAt(place, part, row, side);
      const across = stringAcross(anatomy, string, at.y);
      return across ? [{ at, off: offOf(sum('poleBeside', [1, poleAcross(place, part, row, side)], [-1, across])) }] : [];
    });
    const worse = sides.reduce((w, s) => (valueOf(s.off) > valueOf(w.off) + SAME ? s : w));
    const working = sum('polesLeft', [1, setting('maxPoleOffset', maxPoleOffset, 'maxPoleOffset')], [-1, worse.off]);
    return verdict('polesUnderStrings', subject, working, minimum, worse.at);
  });
}

/** Sides that differ by less read alike, mm: the treble side is told. */
const SAME = 1e-9;

function offOf(beside: Working): Working {
  return { op: 'abs', label: 'polesOff', of: beside };
}

/** The outer pole of a row on one side, in the body's frame. */
function poleAt({ position }: PlaceOfPart, part: Pickup, row: number, side: 1 | -1): Point {
  return placePoint({ x: (side * part.poles.spacing.value) / 2, y: row }, lies(position));
}

/** How far from the centre line it is; positive on the treble side. */
function poleAcross({ position }: PlaceOfPart, part: Pickup, row: number, side: 1 | -1): Working {
  const at = lies(position);
  const half: Working = { op: 'quotient', label: 'halfSpacing', a: partLeaf('poleSpacing', part.poles.spacing, part.id), b: setting('two', 2, 'two') };
  const cosine = Math.cos((at.turn * Math.PI) / 180);
  const turned: Working = at.turn === 0 ? half : { op: 'product', label: 'halfTurned', a: half, b: setting('cosine', cosine, 'position') };
  return sum('poleAcross', [1, setting('rowAcross', placePoint({ x: 0, y: row }, at).x, 'position')], [side, turned]);
}

/** Poles under their strings. */
export const POLES_UNDER_STRINGS = rowsOf(['pickup'], ofPickup(polesUnderStrings), {
  polesUnderStrings: MM,
});
