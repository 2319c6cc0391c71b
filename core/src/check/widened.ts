import { depthOf, depthTerms } from './depth-here.js';
import { actsOfChoice, routeLevels } from './choice.js';
import { toBody, type Cavity } from '../instrument/index.js';
import { gapApart, gapInside, regionsOverlap, type Region } from '../shape/index.js';
import { outlineLeaf, levelsLeaf, regionOf } from './place.js';
import type { PartSite } from './site.js';
import { verdict, type Verdict } from './verdict.js';
import { ofHardware } from './of-choice.js';
import { rowsOf } from './row.js';
import { deepestBelow, FLOOR, floorOver } from './floor.js';
import { wallsToHoles } from './holes-in-wood.js';
import { WALL } from './wall.js';

/**
 * A cavity that is widened or routed for a part: the wood left to the cavities beside it, to the body's edge, and over what lies below in the other face.
 * Body 44, widened to 36 over a route of 18 from the top: none, and 10 too much [law].
 */
function widened(site: PartSite): readonly Verdict[] {
  const { anatomy, settings } = site.state;
  return addedLevels(site).flatMap(({ cavity, levels }): readonly Verdict[] => {
    const more: Region = levels.map((p) => toBody(anatomy, cavity.frame, p.outline.outline));
    const others = anatomy.cavities.filter((c) => c.id !== cavity.id && c.levels.length > 0);
    const beside = others.flatMap((c) => {
      const theirs = regionOf(anatomy, c);
      if (c.face !== cavity.face && regionsOverlap(more, theirs)) return [];
      const gap = gapApart(more, theirs);
      const working = {
        op: 'geometry' as const,
        label: 'wallBetween',
        measure: 'apart' as const,
        a: more,
        b: theirs,
        value: gap.clearance,
        allowances: [levelsLeaf(cavity, levels), levelsLeaf(c, c.levels)],
      };
      const minimum = c.kind === 'neck pocket' ? settings.minWallAtNeckPocket : settings.minWall;
      return [verdict('wall', { feature: site.choice.id, item: cavity.id, against: c.id }, working, minimum, gap.at)];
    });
    const holes = wallsToHoles(site.state, { cavity, levels, region: more, subject: { feature: site.choice.id, item: cavity.id } });
    const nearest = beside.reduce<Verdict | null>((n, v) => (n && (n.clearance ?? 0) <= (v.clearance ?? 0) ? n : v), null);
    return [...(nearest ? [nearest] : []), ...holes, ...toEdge(site, cavity.id, more, levels), ...overCavities(site, more, { cavity, levels })];
  });
}

type Levels = Parameters<typeof levelsLeaf>[1];

/** Levels that are put into a cavity. */
interface Added {
  readonly cavity: Cavity;
  readonly levels: Levels;
}

/** What a choice puts into cavities: by its work, and by its route. */
function addedLevels({ choice, state: { anatomy, settings } }: PartSite): readonly Added[] {
  const { place, route } = choice;
  const added = actsOfChoice(choice).flatMap((w) => (w.kind === 'addLevels' ? [w] : []));
  const cut = route && place.on === 'feature' ? [{ cavity: place.feature, levels: routeLevels(route, settings) }] : [];
  return [...added, ...cut].flatMap(({ cavity: id, levels }) => anatomy.cavities.flatMap((cavity) => (cavity.id === id ? [{ cavity, levels }] : [])));
}

function toEdge(site: PartSite, cavity: string, more: Region, levels: Levels): readonly Verdict[] {
  const { anatomy, settings } = site.state;
  const body = anatomy.body.outline;
  const of = anatomy.cavities.find((c) => c.id === cavity);
  if (!body || !of) return [];
  const edge = [body.outline];
  const gap = gapInside(more, edge);
  const working = {
    op: 'geometry' as const,
    label: 'wallToEdge',
    measure: 'inside' as const,
    a: more,
    b: edge,
    value: gap.clearance,
    allowances: [levelsLeaf(of, levels), outlineLeaf(body, 'body')],
  };
  return [verdict('edgeOfBody', { feature: site.choice.id, item: cavity, against: 'body' }, working, settings.minWall, gap.at)];
}

function overCavities({ choice, state }: PartSite, more: Region, { cavity, levels }: Added): readonly Verdict[] {
  const { anatomy } = state;
  const deepest = levels.reduce<Levels[number] | null>((most, p) => (p.depth && (!most?.depth || p.depth.value > most.depth.value) ? p : most), null);
  const below = deepestBelow(anatomy, cavity.face, more);
  if (!deepest?.depth || !below) return [];
  const subject = { feature: choice.id, item: `${cavity.id}/${deepest.depth.value.toFixed(3)}`, against: below.feature };
  return [floorOver(state, { subject, depth: depthTerms(-1, 'levelDepth', depthOf(cavity, deepest)), below, at: below.at })];
}

/** What a widened cavity leaves round it. */
export const WIDENED = rowsOf(['hardware'], ofHardware(widened), {
  wall: WALL,
  edgeOfBody: WALL,
  floor: FLOOR,
});
