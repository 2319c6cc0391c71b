import { setting, sum } from '../measure/index.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { HANGS } from './hangs.js';
import { judged, known, type Site } from './site.js';

/**
 * Is there a hollow for what hangs below a hole? Into solid wood a pot of 13 lacks all of its 13 [law].
 * Behind a hole that is there already the hollow is only not drawn yet: not measured.
 */
export function hollowBehind(site: Site): readonly Verdict[] {
  const { part, hole, room, choice, state } = site;
  if (room || !hole || !HANGS.has(part.kind) || (hole.face !== 'top' && hole.face !== 'back')) return [];
  const { wantedDepth } = state.settings;
  if (choice.place.on === 'feature') return [missingVerdict('hollowBehind', { feature: choice.id, item: '' }, [], wantedDepth, site.at)];
  return [
    judged(site, 'hollowBehind', '', { sizes: ['depthBelow'] }, wantedDepth, () =>
      sum('depthLeft', [1, setting('hollowHere', 0, 'plan')], [-1, known(site, 'depthBelow')]),
    ),
  ];
}
