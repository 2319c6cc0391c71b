import { leaf, setting, sum, valueOf, type Leaf, type Working } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Anatomy, Strings } from './anatomy.js';
import { shareOfScale } from './frets.js';

/** How far the nut's slots lie behind the crown of a zero fret, mm [memory]. */
export const BEHIND_ZERO_FRET = 5;
const BEHIND_LIMIT = 3;

/** Where a string, or the middle of a course, lies among the others: its share of the spread from the middle, −0.5 lowest to 0.5 highest, and which side of its course. */
export interface AmongStrings {
  readonly share: number;
  readonly side: -1 | 0 | 1;
}

/** Every string from the lowest to the highest; with `middles` the middles of courses instead, where the strings lie in courses. */
export function amongStrings({ count, courses }: Strings, middles = false): readonly AmongStrings[] {
  const n = courses ? Math.ceil(count / 2) : count;
  const each = Array.from({ length: n }, (_, i): AmongStrings => ({ share: n > 1 ? i / (n - 1) - 0.5 : 0, side: 0 }));
  if (!courses || middles) return each;
  return each.flatMap(({ share }): readonly AmongStrings[] => [
    { share, side: -1 },
    { share, side: 1 },
  ]);
}

const AT = {
  nut: { quantity: 'spreadAtNut', feature: 'strings' },
  saddles: { quantity: 'spreadAtSaddles', feature: 'strings' },
  courses: { quantity: 'courseApart', feature: 'strings' },
  scale: { quantity: 'scaleLength', feature: 'neck' },
  scaleBass: { quantity: 'scaleLengthBass', feature: 'neck' },
  mouth: { quantity: 'nutToMouth', feature: 'neck' },
} as const satisfies Record<string, Target>;

/** What is not known of where the strings run. */
export function unknownOfStrings({ strings, neck }: Anatomy): readonly Target[] {
  return [
    ...(strings.spreadAtNut ? [] : [AT.nut]),
    ...(strings.spreadAtSaddles ? [] : [AT.saddles]),
    ...(strings.courses && !strings.courses.apart ? [AT.courses] : []),
    ...(neck.scale ? [] : [AT.scale]),
    ...(neck.nutToMouth ? [] : [AT.mouth]),
  ];
}

/**
 * How far from the centre line a string is at a place along the body (its frame, mm), and how that is worked out; positive on the treble side; null while something
 * of it is not known. Each string goes straight from its slot to its saddle, which are its own scale apart: spread at y = nut + (saddles − nut) × share, share of the
 * lowest over 711, square at the 7th, 500 from the nut of the highest over 660: (500 + 51 × 0.3326)/711 = 0.7271; 36 to 54: 24.54 from the middle [law].
 * The spreads are taken square to the centre line, on a fanned board too; its origin is the highest string's end of the nut.
 */
export function stringAcross({ strings, neck }: Anatomy, { share, side }: AmongStrings, y: number): Working | null {
  const { spreadAtNut, spreadAtSaddles, courses } = strings;
  const { scale, scaleBass, nutToMouth, zeroFret, squareFret } = neck;
  if (!spreadAtNut || !spreadAtSaddles || !scale || !nutToMouth) return null;
  const behind = zeroFret ? [[1, setting('nutBehind', BEHIND_ZERO_FRET, 'nutBehind', BEHIND_LIMIT)] as const] : [];
  const high = leaf('scaleLength', scale, AT.scale);
  const longer = scaleBass
    ? product('longerScale', setting('shareFromTreble', 0.5 - share, 'string'), longerBy(leaf('scaleLengthBass', scaleBass, AT.scaleBass), high))
    : null;
  const own = longer ? sum('ownScale', [1, high], [1, longer]) : high;
  const fan = longer ? [[1, product('nutFurther', longer, setting('squareAt', shareOfScale(squareFret), 'squareFret'))] as const] : [];
  const along = sum('fromNut', [1, leaf('nutToMouth', nutToMouth, AT.mouth)], [1, setting('rowAlong', y, 'position')], ...fan, ...behind);
  const gone: Working = { op: 'quotient', label: 'shareOfScale', a: along, b: behind.length > 0 ? sum('slotToSaddle', [1, own], ...behind) : own };
  const nut = leaf('spreadAtNut', spreadAtNut, AT.nut);
  const widening = sum('widening', [1, leaf('spreadAtSaddles', spreadAtSaddles, AT.saddles)], [-1, nut]);
  const spread = sum('spreadHere', [1, nut], [1, product('widened', widening, gone)]);
  if (!courses) return product('stringAcross', spread, setting('shareOfSpread', share, 'string'));
  if (!courses.apart) return null;
  const pair = leaf('courseApart', courses.apart, AT.courses);
  const middle = product('stringAcross', sum('middlesSpread', [1, spread], [-1, pair]), setting('shareOfSpread', share, 'string'));
  return side === 0 ? middle : sum('stringAcross', [1, middle], [side, product('halfCourse', pair, setting('half', 0.5, 'half'))]);
}

function longerBy(bass: Leaf, treble: Leaf): Working {
  return sum('longerBy', [1, bass], [-1, treble]);
}

function product(label: string, a: Working, b: Working): Working {
  return { op: 'product', label, a, b };
}

/** Where the strings run at a place along the body, across, from bass to treble, mm; null while their spreads, the scale or the neck's place are not known. */
export function stringsAt(a: Anatomy, y: number): readonly number[] | null {
  if (a.strings.count < 2 || unknownOfStrings(a).length > 0) return null;
  return amongStrings(a.strings).flatMap((s) => {
    const across = stringAcross(a, s, y);
    return across ? [valueOf(across)] : [];
  });
}
