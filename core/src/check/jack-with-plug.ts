import { leaf, sum, type Dimension } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { gapInside } from '../shape/index.js';
import { pocketsLeaf, regionOf } from './place.js';
import { verdict, type Verdict } from './verdict.js';
import { bodyLeaf, bodyOutline, judged, known, placeLeaf, type Site, sure } from './site.js';

/**
 * Has a jack room with the plug in it: behind its mouth for the plug's tip, and beside it for the leaf that swings out?
 * On a face the room behind is all of the body; at the side it is the depth of its bore. Plug inside 30–32 [std IEC 60603-11, from memory].
 */
export function jackWithPlug(site: Site): readonly Verdict[] {
  const { part, hole, state, room, at } = site;
  if ((part.kind !== 'jack' && part.kind !== 'end-pin jack') || !hole) return [];
  const { settings, anatomy } = state;
  const onFace = hole.face === 'top' || hole.face === 'back';
  const target: Target = onFace ? { quantity: 'bodyThickness', feature: 'body' } : { quantity: 'holeDepth', feature: hole.id };
  const behind: Dimension | null = onFace ? anatomy.body.thickness : hole.depth;
  const tip = judged(site, 'plugInside', '', { targets: [[behind, target]], sizes: ['plugInside'] }, settings.wantedDepth, () =>
    sum('plugLeft', [1, leaf(onFace ? 'bodyThickness' : 'holeDepth', sure(behind), target)], [-1, known(site, 'plugInside')]),
  );
  const swing = part.sizes.leafSwing;
  const swung = swing ? bodyOutline(part, at, swing.value) : null;
  if (!room || !swing || !swung) return [tip];
  const walls = regionOf(anatomy, room.cavity);
  const gap = gapInside([swung], walls);
  return [
    tip,
    verdict(
      'leafSwing',
      { feature: site.choice.id, item: 'leaf', against: room.cavity.id },
      {
        op: 'geometry',
        label: 'bodyToWall',
        measure: 'inside',
        a: [swung],
        b: walls,
        value: gap.clearance,
        allowances: [
          bodyLeaf(part),
          leaf('leafSwing', { value: 0, limit: swing.limit, basis: swing.basis }),
          pocketsLeaf(room.cavity, room.cavity.pockets),
          placeLeaf(site),
        ],
      },
      0,
      gap.at,
    ),
  ];
}
