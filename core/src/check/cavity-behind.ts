import { setting, sum } from '../measure/index.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { HANGS } from './hangs.js';
import { judged, known, type Site } from './site.js';

/**
 * Is there a cavity for what hangs below a hole? Into solid wood a pot of 13 lacks all of its 13 [law].
 * Behind a hole that is there already the cavity is only not drawn yet: not measured.
 */
export function cavityBehind(site: Site): readonly Verdict[] {
  const { part, hole, room, choice, state } = site;
  if (room || !hole || !HANGS.has(part.kind) || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const { minDepth } = state.settings;
  if (choice.place.on === 'feature') return [missingVerdict('cavityBehind', { feature: choice.id, item: '' }, [], minDepth, site.at)];
  return [
    judged(site, 'cavityBehind', '', { sizes: ['depthBelow'] }, minDepth, () =>
      sum('depthLeft', [1, setting('cavityHere', 0, 'plan')], [-1, known(site, 'depthBelow')]),
    ),
  ];
}
