import { partRow } from '../part/index.js';
import type { Hole } from '../instrument/index.js';
import { constant, leaf, setting, sum, type Working } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { missingVerdict, type Verdict } from './verdict.js';
import { judged, known, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Thin glue fills so much play in a bore, mm. */
export const GLUE_FILLS = constant(0.15, 'memory', 'Press fits');

/**
 * Does a ferrule, a bush or a press-in bushing sit tight without splitting anything? Its interference is its diameter less the hole's;
 * of a knurl 0.10–0.25, smooth 0.02–0.08 [memory]. Where only the bare hole is known, the film on its wall closes it by twice its thickness [law]:
 * 0.15 closes a bare 8.10 to 7.80.
 */
function pressFit(site: PartSite): readonly Verdict[] {
  const { part, hole, state, choice } = site;
  const { press } = partRow(site.rows, part.kind);
  if (!press || !hole || (press.where && part.traits[press.where[0]] !== press.where[1])) return [];
  const { size } = press;
  const s = state.settings;
  const knurled = press.knurls && part.traits.surface !== 'smooth';
  const [least, most] = knurled ? (['pressKnurlLeast', 'pressKnurlMost'] as const) : (['pressSmoothLeast', 'pressSmoothMost'] as const);
  const open = openingOf(hole, s.filmThickness);
  if (!open) {
    if (choice.place.on === 'face') return [];
    const target: Target = { quantity: 'holeDiameter', feature: hole.id };
    return [missingVerdict('pressHolds', { feature: choice.id, item: '' }, [target], 0, site.at)];
  }
  // what is glued in wants no interference: no more play than the glue fills
  if (hole.glued)
    return [
      judged(site, { check: 'pressHolds', needs: { sizes: [size] }, minimum: 0 }, () =>
        sum('playThatGlueFills', [1, setting('glueFills', GLUE_FILLS.value, 'trade')], [-1, open], [1, known(site, size)]),
      ),
    ];
  const tight = (): Working => sum('interference', [1, known(site, size)], [-1, open]);
  return [
    judged(site, { check: 'pressHolds', needs: { sizes: [size] }, minimum: 0 }, () =>
      sum('tighterThanLeast', [1, tight()], [-1, setting('leastInterference', s[least], least)]),
    ),
    judged(site, { check: 'pressSplits', needs: { sizes: [size] }, minimum: 0 }, () =>
      sum('looserThanMost', [1, setting('mostInterference', s[most], most)], [-1, tight()]),
    ),
  ];
}

/** How wide a hole is when the part goes in: finished as it was read, else bare less its film on both sides. */
function openingOf(hole: Hole, film: number): Working | null {
  if (hole.diameter) return leaf('holeDiameter', hole.diameter, { quantity: 'holeDiameter', feature: hole.id });
  if (!hole.bare) return null;
  const both: Working = { op: 'product', label: 'filmBothSides', a: setting('two', 2, 'two'), b: setting('filmThickness', film, 'filmThickness', film / 3) };
  return sum('finishedHole', [1, leaf('bareDiameter', hole.bare, { quantity: 'bareDiameter', feature: hole.id })], [-1, both]);
}

/** A press fit that holds and does not split. */
export const PRESS_FIT = rowsOf(['hardware'], ofHardware(pressFit), {
  pressHolds: { unit: 'mm', about: ['restsTwice', 'pressed'] },
  pressSplits: MM,
});
