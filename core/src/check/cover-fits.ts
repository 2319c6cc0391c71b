import { setting, sum, type Working } from '../measure/index.js';
import { lies } from '../instrument/index.js';
import { placePoint } from '../shape/index.js';
import { partLeaf, type PlaceOfPart } from './place.js';
import { stringsOver } from './strings-over.js';
import { countVerdict, lackingVerdict, verdict, type Verdict } from './verdict.js';
import { ofPickup } from './of-choice.js';
import { MM, YES_OR_NO, rowsOf } from './row.js';

/**
 * Do the cover's holes lie over the poles, is the cover grounded as the wiring needs it, and is the part for so many strings?
 * 51 mm poles under holes 50 apart are 0.5 off at each end [law]; a cover that is grounded with its coil would be hot when its leads are turned [trade].
 */
function coverFits({ part, position, state, choice }: PlaceOfPart): readonly Verdict[] {
  if (!part) return [];
  const out: Verdict[] = [];
  const feature = position.id;
  const holes = part.sizes?.coverHoleSpacing;
  if (holes) {
    const half: Working = {
      op: 'quotient',
      label: 'halfDifference',
      a: sum('polesLessHoles', [1, partLeaf('poleSpacing', part.poles.spacing, part.id)], [-1, partLeaf('coverHoleSpacing', holes, part.id)]),
      b: setting('two', 2, 'two'),
    };
    const hard = setting('maxCoverHoleOffset', state.settings.maxCoverHoleOffset, 'maxCoverHoleOffset');
    const working = sum('coverHolesLeft', [1, hard], [-1, { op: 'abs', label: 'holesOff', of: half }]);
    out.push(verdict('coverHoles', { feature, item: 'cover' }, working, 0, placePoint({ x: part.poles.spacing.value / 2, y: 0 }, lies(position))));
  }
  if (choice.coverApart) {
    const subject = { feature, item: 'cover' };
    if (part.coverGround === undefined)
      out.push(lackingVerdict('coverGround', subject, { lacks: [{ part: part.id, size: 'coverGround' }], missing: [], minimum: 0, at: null }));
    else out.push(countVerdict('coverGround', subject, part.coverGround === 'with the coil' ? 0 : 1, 1));
  }
  if (part.strings !== undefined) {
    const over = stringsOver(state.anatomy, position, part).length;
    out.push(countVerdict('stringCount', { feature, item: String(part.strings), against: String(over) }, over === part.strings ? 1 : 0, 1));
  }
  return out;
}

/** Holes of a cover over the poles, a cover with a ground of its own, strings and poles. */
export const COVER_FITS = rowsOf(['pickup'], ofPickup(coverFits), {
  coverHoles: MM,
  coverGround: YES_OR_NO,
  stringCount: YES_OR_NO,
});
