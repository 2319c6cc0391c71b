import type { Pocket } from '../instrument/index.js';
import { gapInside, gapWhenInside, type Gap, type Region } from '../shape/index.js';
import { regionOf, type PlaceOfPart } from './place.js';

/** The deepest pockets that hold an outline, and how well. */
export interface Room {
  readonly pockets: readonly Pocket[];
  readonly region: Region;
  readonly gap: Gap;
  /** The shallowest of those pockets: the floor the outline comes down to. */
  readonly floor: Pocket;
}

const byPockets = new WeakMap<readonly Pocket[], readonly (readonly Pocket[])[]>();

/** Pockets at each depth and deeper, deepest first; a pocket of unknown depth counts as the shallowest. */
function tiers(pockets: readonly Pocket[]): readonly (readonly Pocket[])[] {
  let result = byPockets.get(pockets);
  if (!result) {
    const depth = (p: Pocket): number => p.depth?.value ?? -1;
    const depths = [...new Set(pockets.map(depth))].sort((a, b) => b - a);
    result = depths.map((d) => (depths[depths.length - 1] === d ? pockets : pockets.filter((p) => depth(p) >= d)));
    byPockets.set(pockets, result);
  }
  return result;
}

/** Where an outline goes down in a cavity: the deepest tier that contains it, or else the whole cavity, from which it stands out. */
export function roomFor(place: PlaceOfPart, outline: Region): Room {
  const { cavity, state } = place;
  const all = tiers(cavity.pockets);
  for (const pockets of all) {
    const region = regionOf(state.anatomy, cavity, pockets);
    const gap = gapWhenInside(outline, region);
    if (gap) return { pockets, region, gap, floor: pockets.reduce(shallower) };
  }
  const pockets = all[all.length - 1];
  if (!pockets) throw new RangeError('a cavity without pockets');
  const region = regionOf(state.anatomy, cavity, pockets);
  return { pockets, region, gap: gapInside(outline, region), floor: pockets.reduce(shallower) };
}

/** The shallower of two pockets; of two equal ones the less surely known. */
function shallower(p: Pocket, q: Pocket): Pocket {
  const [a, b] = [p.depth?.value ?? -1, q.depth?.value ?? -1];
  if (a !== b) return a < b ? p : q;
  return (p.depth?.limit ?? 0) >= (q.depth?.limit ?? 0) ? p : q;
}
