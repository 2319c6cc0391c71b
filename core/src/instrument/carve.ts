/** How far in from the body's edge a top rises to its height: a carve in a curve, a bevel straight, mm [memory]: only the height is ever read. */
export const RISES_WITHIN = { carved: 60, bevelled: 25 } as const;

/** How much a top has risen so far in from the body's edge, as a share of its height: a quarter of a sine under a carve, straight under a bevel. */
export function riseShare(kind: keyof typeof RISES_WITHIN, fromEdge: number): number {
  const deep = Math.min(1, fromEdge / RISES_WITHIN[kind]);
  return kind === 'carved' ? Math.sin((deep * Math.PI) / 2) : deep;
}

/** The steepest that such a top is, as rise over run: at its edge. 12 under a carve: π/2 × 12/60 = 0.314 [law]. */
export function steepest(kind: keyof typeof RISES_WITHIN, height: number): number {
  return ((kind === 'carved' ? Math.PI / 2 : 1) * height) / RISES_WITHIN[kind];
}
