import { isOfPart } from '../part/index.js';
import { leaf, sum } from '../measure/index.js';
import { depthTerms, type DepthHere } from './depth-here.js';
import { gapInsideOnce } from '../shape/index.js';
import { levelsLeaf, regionOf } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import type { Hole } from '../instrument/index.js';
import { bodyLeaf, bodyOf, depthAt, judged, known, placeLeaf, type PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/**
 * Has a jack room with the plug in it: behind its mouth for the plug's tip, and beside it for the leaf that swings out?
 * Through the wood of a face the room behind is all of the body; in a plate over a cavity it is the cavity's depth, at the side that of its bore.
 * Plug inside 30–32 [std IEC 60603-11, from memory]: 32 in a cavity of 28 lacks 4 [law].
 */
function jackWithPlug(site: PartSite): readonly Verdict[] {
  const { part, hole, state, room, at } = site;
  if (!isOfPart(site.rows, part.kind, 'plugged') || !hole) return [];
  const { settings, anatomy } = state;
  const { behind, label } = roomBehind(site, hole);
  const tip = judged(
    site,
    { check: 'plugInside', needs: { targets: [[behind.depth, behind.target]], sizes: ['plugInside'] }, minimum: settings.minDepth },
    () =>
      sum('plugLeft', ...depthTerms(1, label, behind), ...(room?.from && room.cavity.raised ? [[1, leaf('coverRaised', room.cavity.raised)] as const] : []), [
        -1,
        known(site, 'plugInside'),
      ]),
  );
  const swing = part.sizes.leafSwing;
  const swung = swing ? bodyOf(part, at, swing.value) : null;
  if (!room || !swing || !swung) return [tip];
  const walls = regionOf(anatomy, room.cavity);
  const gap = gapInsideOnce(swung, walls);
  return [
    tip,
    verdict(
      'leafSwing',
      { feature: site.choice.id, item: 'leaf', against: room.cavity.id },
      {
        op: 'geometry',
        label: 'bodyToWall',
        measure: 'inside',
        a: swung,
        b: walls,
        value: gap.clearance,
        allowances: [
          bodyLeaf(part),
          leaf('leafSwing', { value: 0, limit: swing.limit, basis: swing.basis }),
          levelsLeaf(room.cavity, room.cavity.levels),
          placeLeaf(site),
        ],
      },
      0,
      gap.at,
    ),
  ];
}

interface Behind {
  readonly behind: DepthHere;
  readonly label: 'bodyThickness' | 'holeDepth' | 'levelDepth';
}

function roomBehind({ room, state: { anatomy }, at }: PartSite, hole: Hole): Behind {
  if (hole.face !== 'top' && hole.face !== 'back') {
    return { behind: { depth: hole.depth, target: { quantity: 'holeDepth', feature: hole.id }, fall: null }, label: 'holeDepth' };
  }
  const floor = room?.from ? depthAt(anatomy, room.cavity, at) : null;
  if (floor) return { behind: floor, label: 'levelDepth' };
  return { behind: { depth: anatomy.body.thickness, target: { quantity: 'bodyThickness', feature: 'body' }, fall: null }, label: 'bodyThickness' };
}

/** A plug in its jack, and the leaf that swings out. */
export const JACK_WITH_PLUG = rowsOf(['hardware'], ofHardware(jackWithPlug), {
  plugInside: MM,
  leafSwing: { unit: 'mm', about: ['crowding'] },
});
