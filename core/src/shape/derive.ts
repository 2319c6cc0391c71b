import { asRegion, offsetRings } from './boolean.js';
import { fitArcs } from './fit-arcs.js';
import { area } from './measures.js';
import type { Outline } from './outline.js';
import type { Region } from './region.js';

/** Outlines that came of others, as lines and arcs. */
export interface Derived {
  /** Largest first. */
  readonly outlines: readonly Outline[];
  /** Islands that would be left standing inside them. */
  readonly islands: number;
}

/** All outlines joined, and grown (or moved in) by so many mm with round corners: 60 × 20 grown by 1 is 62 × 22 with corners of 1. */
export function grown(region: Region, by: number): Derived {
  return derived(offsetRings(region, by));
}

/** All outlines joined, with every inside corner as a round cutter of radius r leaves it: a square corner gets the cutter's radius. */
export function opened(region: Region, r: number): Derived {
  return derived(offsetRings(asRegion(offsetRings(region, -r)), r));
}

function derived(rings: ReturnType<typeof offsetRings>): Derived {
  const signed = rings.map(
    (ring) => ring.reduce((s, p, i) => s + p.x * (ring[(i + 1) % ring.length]?.y ?? 0) - (ring[(i + 1) % ring.length]?.x ?? 0) * p.y, 0) / 2,
  );
  const outer = rings.filter((_, i) => (signed[i] ?? 0) > 0);
  const outlines = outer.map(fitArcs).sort((a, b) => area(b) - area(a));
  return { outlines, islands: rings.length - outer.length };
}
