import type { Level } from '../instrument/index.js';
import { gapInside, gapWhenInside, type Gap, type Region } from '../shape/index.js';
import { regionOf, type PlaceOfPart } from './place.js';

/** The deepest levels that hold an outline, and how well. */
export interface Room {
  readonly levels: readonly Level[];
  readonly region: Region;
  readonly gap: Gap;
  /** The shallowest of those levels: the floor the outline comes down to. */
  readonly floor: Level;
}

const byLevels = new WeakMap<readonly Level[], readonly (readonly Level[])[]>();

/** Levels at each depth and deeper, deepest first; a level of unknown depth counts as the shallowest. */
function tiers(levels: readonly Level[]): readonly (readonly Level[])[] {
  let result = byLevels.get(levels);
  if (!result) {
    const depth = (p: Level): number => p.depth?.value ?? -1;
    const depths = [...new Set(levels.map(depth))].sort((a, b) => b - a);
    result = depths.map((d) => (depths[depths.length - 1] === d ? levels : levels.filter((p) => depth(p) >= d)));
    byLevels.set(levels, result);
  }
  return result;
}

/** Where an outline goes down in a cavity: the deepest tier that contains it, or else the whole cavity, from which it stands out. */
export function roomFor(place: PlaceOfPart, outline: Region): Room {
  const { cavity, state } = place;
  const all = tiers(cavity.levels);
  for (const levels of all) {
    const region = regionOf(state.anatomy, cavity, levels);
    const gap = gapWhenInside(outline, region);
    if (gap) return { levels, region, gap, floor: levels.reduce(shallower) };
  }
  const levels = all[all.length - 1];
  if (!levels) throw new RangeError('a cavity without levels');
  const region = regionOf(state.anatomy, cavity, levels);
  return { levels, region, gap: gapInside(outline, region), floor: levels.reduce(shallower) };
}

/** The shallower of two levels; of two equal ones the less surely known. */
function shallower(p: Level, q: Level): Level {
  const [a, b] = [p.depth?.value ?? -1, q.depth?.value ?? -1];
  if (a !== b) return a < b ? p : q;
  return (p.depth?.limit ?? 0) >= (q.depth?.limit ?? 0) ? p : q;
}
