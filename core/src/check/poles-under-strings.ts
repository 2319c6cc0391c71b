import { leaf, setting, sum, type Working } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';
import type { PlaceOfPart } from './place.js';
import { ofPickup } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/**
 * How far the outer poles of each row are from the outer strings. The spread at y is nut + (saddles − nut) × (mouth + y) / scale;
 * 35.5 to 52.5 over 635, row at 392 + 93: 48.48; poles 49.5 apart are 0.51 off [law]. Within 1.0 wanted, 2.5 hard [trade].
 */
function polesUnderStrings(place: PlaceOfPart): readonly Verdict[] {
  const { part, position, state } = place;
  if (!part) return [];
  const { strings, neck } = state.anatomy;
  const { maxPoleOffset, polesWithin } = state.settings;
  const minimum = maxPoleOffset - polesWithin;
  const t = {
    nut: { quantity: 'spreadAtNut', feature: 'strings' } as Target,
    saddles: { quantity: 'spreadAtSaddles', feature: 'strings' } as Target,
    scale: { quantity: 'scaleLength', feature: 'neck' } as Target,
    mouth: { quantity: 'nutToMouth', feature: 'neck' } as Target,
  };
  return part.poles.rows.map((row, i) => {
    const subject = { feature: position.id, item: `row ${i + 1}` };
    const at = { x: position.at.x + part.poles.spacing.value / 2, y: position.at.y + row };
    const { spreadAtNut, spreadAtSaddles } = strings;
    const { scale, nutToMouth } = neck;
    if (!spreadAtNut || !spreadAtSaddles || !scale || !nutToMouth) {
      const missing = [...(spreadAtNut ? [] : [t.nut]), ...(spreadAtSaddles ? [] : [t.saddles]), ...(scale ? [] : [t.scale]), ...(nutToMouth ? [] : [t.mouth])];
      return missingVerdict('polesUnderStrings', subject, missing, minimum, at);
    }
    const nut = leaf('spreadAtNut', spreadAtNut, t.nut);
    const along = sum('fromNut', [1, leaf('nutToMouth', nutToMouth, t.mouth)], [1, setting('rowAlong', at.y, 'position')]);
    const share: Working = { op: 'quotient', label: 'shareOfScale', a: along, b: leaf('scaleLength', scale, t.scale) };
    const widening = sum('widening', [1, leaf('spreadAtSaddles', spreadAtSaddles, t.saddles)], [-1, nut]);
    const spread = sum('spreadHere', [1, nut], [1, { op: 'product', label: 'widened', a: widening, b: share }]);
    const off: Working = {
      op: 'abs',
      label: 'polesOff',
      of: {
        op: 'quotient',
        label: 'halfDifference',
        a: sum('difference', [1, leaf('poleSpacing', part.poles.spacing)], [-1, spread]),
        b: setting('two', 2, 'two'),
      },
    };
    return verdict('polesUnderStrings', subject, sum('polesLeft', [1, setting('maxPoleOffset', maxPoleOffset, 'maxPoleOffset')], [-1, off]), minimum, at);
  });
}

/** Poles under their strings. */
export const POLES_UNDER_STRINGS = rowsOf(['pickup'], ofPickup(polesUnderStrings), {
  polesUnderStrings: MM,
});
