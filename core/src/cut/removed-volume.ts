import { differenceArea, type Outline } from '../shape/index.js';

/** A cavity of one depth, in the body's frame, mm. */
export interface Level {
  readonly outline: Outline;
  readonly depth: number;
}

/** Wood that goes when cavities are cut where others are already, mm³: layer by layer, what is open afterwards less what was open before [law]. */
export function removedVolume(fresh: readonly Level[], old: readonly Level[]): number {
  const depths = [...new Set([...fresh, ...old].map((l) => l.depth))].filter((d) => d > 0).sort((a, b) => a - b);
  let above = 0;
  let volume = 0;
  for (const depth of depths) {
    const now = fresh.filter((l) => l.depth >= depth).map((l) => l.outline);
    const before = old.filter((l) => l.depth >= depth).map((l) => l.outline);
    if (now.length > 0) volume += (depth - above) * differenceArea(now, before);
    above = depth;
  }
  return volume;
}
