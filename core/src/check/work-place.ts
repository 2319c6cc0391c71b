import type { Anatomy, Hole, HoleFace } from '../instrument/index.js';
import type { Act, WorkPlace, Zone } from '../operation/index.js';
import { cavityAt } from './site.js';

const ZONES: Readonly<Record<HoleFace, readonly Zone[]>> = {
  top: ['body top'],
  back: ['body back'],
  // chips of a hole in the side fall into what opens to either face
  side: ['body top', 'body back'],
  'headstock front': ['headstock'],
  'headstock back': ['headstock'],
  fingerboard: ['neck'],
};

const zonesOf = (face: HoleFace, through: boolean): readonly Zone[] =>
  through && (face === 'top' || face === 'back') ? ['body top', 'body back'] : ZONES[face];

/** Where some acts at some places are done. What is not on the instrument yet lies where its act puts it. */
export function workPlace(anatomy: Anatomy, places: readonly string[], does: readonly Act[]): WorkPlace {
  const features = new Set(places);
  const zones = new Set<Zone>();
  const holes = new Set<string>();
  const joined = does.flatMap((act) => ('joins' in act ? (act.joins ?? []) : []));
  for (const act of does) {
    if ('cavity' in act) features.add(typeof act.cavity === 'string' ? act.cavity : act.cavity.id);
    if ('hole' in act) features.add(typeof act.hole === 'string' ? act.hole : act.hole.id);
    if ('plate' in act) features.add(typeof act.plate === 'string' ? act.plate : act.plate.id);
    if ('feature' in act) features.add(act.feature);
    if (act.kind === 'addCavity') for (const zone of zonesOf(act.cavity.face, false)) zones.add(zone);
  }
  const fresh = does.flatMap((act) => (act.kind === 'addHole' ? [act.hole] : []));
  for (const id of joined) features.add(id);
  for (const id of features) {
    const hole = anatomy.holes.find((h) => h.id === id) ?? fresh.find((h) => h.id === id);
    if (hole) {
      holes.add(hole.kind);
      const behind = cavityBehind(anatomy, hole);
      if (behind) features.add(behind);
    }
    const face = hole?.face ?? anatomy.cavities.find((c) => c.id === id)?.face ?? anatomy.plates.find((p) => p.id === id)?.face;
    if (face) for (const zone of zonesOf(face, hole?.through ?? false)) zones.add(zone);
  }
  const made = does.flatMap((act) => (act.kind === 'addCavity' ? [act.cavity.id] : []));
  const cavities = [...features].filter((id) => made.includes(id) || anatomy.cavities.some((c) => c.id === id));
  return { features: [...features], cavities, zones: [...zones], holes: [...holes] };
}

/** The cavity that a hole opens into. */
function cavityBehind(anatomy: Anatomy, { face, at }: Hole): string | null {
  return cavityAt(anatomy, face, at)?.id ?? null;
}
