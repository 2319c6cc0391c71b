import { isOfPart } from '../part/index.js';
import { HEADSTOCK_FRAME, placementOf, toBody, type Hole } from '../instrument/index.js';
import { leaf, sum } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { circle, gapInside, moveOutline, placePoint } from '../shape/index.js';
import { verdict, type Verdict } from './verdict.js';
import { judged, known, placeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** How far from a tuner's post an old screw hole is still its own, mm [memory]. */
const OWN = 25;

/** Does a tuner suit the headstock: its thickness, the next tuner, and the old screw holes that its housing must cover? */
function tunerOnHeadstock(site: PartSite): readonly Verdict[] {
  const { part, hole, state } = site;
  if (!isOfPart(site.rows, part.kind, 'onHeadstock') || !hole) return [];
  const { thickness } = state.anatomy.headstock;
  const target: Target = { quantity: 'headstockThickness', feature: 'headstock' };
  const thick = () => leaf('headstockThickness', sure(thickness), target);
  const targets = [[thickness, target] as const];
  return [
    ...(part.sizes.headstockLeast
      ? [
          judged(site, { check: 'headstockThick', item: 'least', needs: { targets, sizes: ['headstockLeast'] }, minimum: 0 }, () =>
            sum('headstockOver', [1, thick()], [-1, known(site, 'headstockLeast')]),
          ),
        ]
      : []),
    ...(part.sizes.headstockMost
      ? [
          judged(site, { check: 'headstockThick', item: 'most', needs: { targets, sizes: ['headstockMost'] }, minimum: 0 }, () =>
            sum('headstockUnder', [1, known(site, 'headstockMost')], [-1, thick()]),
          ),
        ]
      : []),
    ...nextTuner(site, hole),
    ...oldHoles(site),
  ];
}

/** The nearest other tuner hole, against the room that this tuner needs from post to post. */
function nextTuner(site: PartSite, hole: Hole): readonly Verdict[] {
  const { state, part } = site;
  const others = state.anatomy.holes.filter((h) => h.kind === hole.kind && h.id !== hole.id && h.frame === hole.frame);
  const apart = (h: Hole): number => Math.hypot(h.at.x - hole.at.x, h.at.y - hole.at.y);
  const next = others.reduce<Hole | null>((n, h) => (n && apart(n) <= apart(h) ? n : h), null);
  if (!next || !part.sizes.pitch) return [];
  const distance = leaf('postToPost', { value: apart(next), limit: hole.limit + next.limit, basis: hole.basis }, { quantity: 'holePlace', feature: hole.id });
  return [
    judged(site, { check: 'nextTuner', needs: { sizes: ['pitch'] }, minimum: 0, against: next.id }, () =>
      sum('pitchLeft', [1, distance], [-1, known(site, 'pitch')]),
    ),
  ];
}

/** Old screw holes near the post: does the housing cover each of them? One that it does not would show. */
function oldHoles(site: PartSite): readonly Verdict[] {
  const { part, state, at } = site;
  const housing = part.shape?.outline;
  if (!housing) return [];
  const { anatomy, settings } = state;
  const cover = [moveOutline(housing.outline, at.x, at.y)];
  const mine = part.shape.screws.map((s) => ({ x: at.x + s.x, y: at.y + s.y }));
  return anatomy.holes.flatMap((h): readonly Verdict[] => {
    if (h.kind !== 'screw' || h.face !== 'headstock back' || h.condition === 'plugged') return [];
    const p = placePoint(h.at, placementOf(anatomy, HEADSTOCK_FRAME));
    if (Math.hypot(p.x - at.x, p.y - at.y) > OWN) return [];
    // a hole that the new tuner uses again shows no more than its screw
    if (mine.some((m) => Math.hypot(m.x - p.x, m.y - p.y) < h.limit + 0.3)) return [];
    const old = [toBody(anatomy, h.frame, circle(h.diameter?.value ?? UNKNOWN, h.at))];
    const gap = gapInside(old, cover);
    const edge = leaf('partOutline', { value: 0, limit: housing.limit, basis: housing.basis }, { quantity: 'partOutline', feature: part.id });
    const place = leaf('holePlace', { value: 0, limit: h.limit, basis: h.basis }, { quantity: 'holePlace', feature: h.id });
    return [
      verdict(
        'oldHoleShows',
        { feature: site.choice.id, item: 'housing', against: h.id },
        { op: 'geometry', label: 'hiddenUnder', measure: 'inside', a: old, b: cover, value: gap.clearance, allowances: [edge, place, placeLeaf(site)] },
        settings.minHides,
        gap.at,
      ),
    ];
  });
}

/** An old screw hole of unknown size counts as this wide, mm [memory]. */
const UNKNOWN = 2.5;

/** A headstock as thick as a tuner wants, the next tuner, and an old hole that shows. */
export const TUNER_ON_HEADSTOCK = rowsOf(['hardware'], ofHardware(tunerOnHeadstock), {
  headstockThick: MM,
  nextTuner: MM,
  oldHoleShows: { unit: 'mm', about: ['appearance'] },
});
