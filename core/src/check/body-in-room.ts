import { depthTerms } from './depth-here.js';
import { woodThrough } from './wood-through.js';
import { actsOfChoice } from './choice.js';
import { isOfPart } from '../part/index.js';
import { gapApartOnce, gapInsideOnce, type Region } from '../shape/index.js';
import { leaf, sum } from '../measure/index.js';
import { levelsLeaf, regionOf } from './place.js';
import { lackingVerdict, verdict, type Verdict } from './verdict.js';
import { bodyLeaf, bodyOf, depthAt, judged, known, middlesOf, placeLeaf, siteOf, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { rowsOf } from './row.js';

/** Does the body clear the walls of the cavity it hangs in, and its floor or cover? A body of 24 in the middle of a 40 wide cavity: 8.0 [law]. */
function bodyInRoom(site: PartSite): readonly Verdict[] {
  const { part, room, state, at } = site;
  if (!room || !isOfPart(site.rows, part.kind, 'hangs')) return [];
  const { anatomy, settings } = state;
  const { cavity } = room;
  const body = bodyOf(part, at);
  const subject = { feature: site.choice.id, item: 'body', against: cavity.id };
  const walls: readonly Verdict[] = body
    ? [besideWalls(site, body, cavity.id)]
    : [lackingVerdict('bodyInRoom', subject, { lacks: [{ part: part.id, size: 'body' }], missing: [], minimum: settings.minBodyRoom, at })];
  const below = depthAt(anatomy, cavity, at);
  const depth = !below
    ? []
    : [
        judged(
          site,
          { check: 'depthForPart', needs: { targets: [[below.depth, below.target]], sizes: ['depthBelow'] }, minimum: settings.minDepth, against: cavity.id },
          () =>
            sum('depthLeft', ...depthTerms(1, 'levelDepth', below), ...(cavity.raised ? [[1, leaf('coverRaised', cavity.raised)] as const] : []), [
              -1,
              known(site, 'depthBelow'),
            ]),
        ),
      ];
  return [...walls, ...depth, ...woodOver(site), ...neighbours(site)];
}

/** The wood left between a cavity that is cut deeper and the other face. */
function woodOver(site: PartSite): readonly Verdict[] {
  const { choice, room, state, at } = site;
  if (!room || !actsOfChoice(choice).some((w) => w.kind === 'setDepth')) return [];
  const below = depthAt(state.anatomy, room.cavity, at);
  if (!below) return [];
  const wood = woodThrough(state.anatomy);
  const needs = [...wood.needs, [below.depth, below.target] as const];
  return [
    judged(site, { check: 'woodOver', needs: { targets: needs }, minimum: state.settings.minFloor, against: room.cavity.id }, () =>
      sum('floorLeft', ...wood.terms(), ...depthTerms(-1, 'levelDepth', below)),
    ),
  ];
}

function besideWalls(site: PartSite, body: Region, against: string): Verdict {
  const { state, room, choice, part } = site;
  if (!room) throw new RangeError('no room to hang in');
  const walls = regionOf(state.anatomy, room.cavity);
  const gap = gapInsideOnce(body, walls);
  return verdict(
    'bodyInRoom',
    { feature: choice.id, item: 'body', against },
    {
      op: 'geometry',
      label: 'bodyToWall',
      measure: 'inside',
      a: body,
      b: walls,
      value: gap.clearance,
      allowances: [bodyLeaf(part), levelsLeaf(room.cavity, room.cavity.levels), placeLeaf(site)],
    },
    state.settings.minBodyRoom,
    gap.at,
  );
}

/** Further apart than this no two bodies meet, and nothing more is asked about them, mm. */
const FAR = 120;

/** The bodies of the plan's other parts that hang in the same cavity. */
function neighbours(site: PartSite): readonly Verdict[] {
  const { plan, choice, part, room, at, state } = site;
  const mine = bodyOf(part, at);
  if (!room || !mine) return [];
  return middlesOf(state, plan).flatMap(({ of: other, at: there }): readonly Verdict[] => {
    if (other.id === choice.id || Math.hypot(there.x - at.x, there.y - at.y) > FAR) return [];
    const beside = siteOf(site.rows, state, plan, other);
    if (beside?.room?.cavity.id !== room.cavity.id || !isOfPart(site.rows, beside.part.kind, 'hangs')) return [];
    const theirs = bodyOf(beside.part, beside.at);
    if (!theirs) return [];
    const gap = gapApartOnce(mine, theirs);
    return [
      verdict(
        'besideNeighbour',
        { feature: choice.id, item: 'body', against: other.id },
        {
          op: 'geometry',
          label: 'bodyToBody',
          measure: 'apart',
          a: mine,
          b: theirs,
          value: gap.clearance,
          allowances: [bodyLeaf(part), bodyLeaf(beside.part), placeLeaf(site), placeLeaf(beside)],
        },
        state.settings.minBodyRoom,
        gap.at,
      ),
    ];
  });
}

/** A body in the cavity behind: its walls, the next body, the depth, and the wood that a new bore leaves. */
export const BODY_IN_ROOM = rowsOf(['hardware'], ofHardware(bodyInRoom), {
  bodyInRoom: { unit: 'mm', about: ['crowding'] },
  besideNeighbour: { unit: 'mm', about: ['crowding'] },
  depthForPart: { unit: 'mm', about: ['restsTwice'] },
  woodOver: { unit: 'mm', about: ['restsTwice', 'structural'] },
});
