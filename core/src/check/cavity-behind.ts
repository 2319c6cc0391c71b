import { setting, sum } from '../measure/index.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { isOfPart } from '../part/index.js';
import { judged, known, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { rowsOf } from './row.js';

/**
 * Is there a cavity for what hangs below a hole? Into solid wood a pot of 13 lacks all of its 13 [law].
 * Behind a hole that is there already the cavity is only not drawn yet: not measured.
 */
function cavityBehind(site: PartSite): readonly Verdict[] {
  const { part, hole, room, choice, state } = site;
  if (room || !hole || !isOfPart(site.rows, part.kind, 'hangs') || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const { minDepth } = state.settings;
  if (choice.place.on === 'feature') return [missingVerdict('cavityBehind', { feature: choice.id, item: '' }, [], minDepth, site.at)];
  return [
    judged(site, { check: 'cavityBehind', needs: { sizes: ['depthBelow'] }, minimum: minDepth }, () =>
      sum('depthLeft', [1, setting('cavityHere', 0, 'plan')], [-1, known(site, 'depthBelow')]),
    ),
  ];
}

/** A cavity behind a hole. */
export const CAVITY_BEHIND = rowsOf(['hardware'], ofHardware(cavityBehind), {
  cavityBehind: { unit: 'mm', about: ['crowding', 'undrawn'] },
});
