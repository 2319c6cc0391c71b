import { setting, sum, type Working } from '../measure/index.js';
import { countVerdict, type Verdict } from './verdict.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf, YES_OR_NO } from './row.js';
import { judged, known, type PartSite } from './site.js';

/**
 * Does the knob go onto the shaft, run true on it, and hold? A bore of 6.0 does not go onto 6.35; one of 6.35 on 6.0 wobbles unless a screw holds it. A split shaft holds
 * what is pushed on; a solid one only what is screwed; a screw on a split one presses it together [memory]. Not asked while nobody said how wide the bore is.
 */
function knobOnShaft(site: PartSite): readonly Verdict[] {
  const { part, choice, state } = site;
  const { knobBore, shaft } = part.sizes;
  const { shaftEnd, knobGrip } = part.traits;
  if (!knobBore) return [];
  const play = (): Working => sum('knobPlay', [1, known(site, 'knobBore')], [-1, known(site, 'shaft')]);
  const most = knobGrip === 'set screw' ? 'mostKnobPlayScrewed' : 'mostKnobPlayPushed';
  const needs = { sizes: ['shaft'] as const };
  const goesOn = judged(site, { check: 'knobGoesOn', needs, minimum: 0 }, play);
  const wobbles = judged(site, { check: 'knobWobbles', needs, minimum: 0 }, () =>
    sum('knobPlayLeft', [1, setting('mostKnobPlay', state.settings[most], most)], [-1, play()]),
  );
  const sized = shaft && knobGrip ? [goesOn, wobbles] : [goesOn];
  if (!shaftEnd || !knobGrip) return sized;
  const grips = countVerdict('knobGrips', { feature: choice.id, item: knobGrip, against: shaftEnd }, shaftEnd === 'solid' && knobGrip === 'push-on' ? 0 : 1, 1);
  return [...sized, shaftEnd === 'split' && knobGrip === 'set screw' ? { ...grips, class: 'thin' } : grips];
}

/** A knob and its shaft. */
export const KNOB_ON_SHAFT = rowsOf(['hardware'], ofHardware(knobOnShaft), { knobGoesOn: MM, knobWobbles: MM, knobGrips: YES_OR_NO });
