import { gapInside } from './gap.js';
import type { Point } from './outline.js';
import type { Region } from './region.js';
import { placeOutline, type Placement } from './transform.js';

/** The small shift and turn that leave an outline most room in another, and how much that is, mm and degrees. */
export interface BestPlacement {
  readonly at: Placement;
  readonly clearance: number;
}

/** The search ends when its steps are this small, mm. */
const FINEST = 0.004;
/** How many ways are tried from each place, how much shorter each round is, and the angle by which they are spread over a sphere [law: Fibonacci]. */
const TRIED = 48;
const SHORTER = 0.7;
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

/** Ways to go in shift and turn at once, spread evenly, and other ones in each round: the best place lies on an edge where few ways lead up. */
function waysOf(round: number): readonly Step[] {
  return Array.from({ length: TRIED }, (_, i): Step => {
    const z = 1 - (2 * i + 1) / TRIED;
    const r = Math.sqrt(1 - z * z);
    const a = GOLDEN * i + round;
    const turned = [r * Math.cos(a), r * Math.sin(a), z] as const;
    return round % 3 === 0 ? [turned[0], turned[1], turned[2]] : round % 3 === 1 ? [turned[2], turned[0], turned[1]] : [turned[1], turned[2], turned[0]];
  });
}

/**
 * Where an outline has most room inside another, when its screws let each of the pivots go `play` mm any way.
 * The regions and pivots lie in one frame; the turn is about the middle of the pivots. A 10 × 10 square 1 off the middle of a 14 × 14 one
 * with 2 of play comes back to the middle: 2.0 all round [law].
 */
export function bestPlacement(inner: Region, outer: Region, pivots: readonly Point[], play: number): BestPlacement {
  const n = Math.max(1, pivots.length);
  const middle = { x: pivots.reduce((s, p) => s + p.x, 0) / n, y: pivots.reduce((s, p) => s + p.y, 0) / n };
  const radius = Math.max(1, ...pivots.map((p) => Math.hypot(p.x - middle.x, p.y - middle.y)));
  const about: Region = inner.map((o) => placeOutline(o, { x: -middle.x, y: -middle.y, turn: 0 }));
  // a turn is stated by how far it moves the furthest pivot, so that all three ways weigh the same
  const poseOf = ([x, y, t]: Step): Placement => ({ x: middle.x + x, y: middle.y + y, turn: (t / radius) * (180 / Math.PI) });
  const allowed = ([x, y, t]: Step): boolean => {
    const a = t / radius;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return (pivots.length > 0 ? pivots : [middle]).every((p) => {
      const [px, py] = [p.x - middle.x, p.y - middle.y];
      return Math.hypot(x + px * c - py * s - px, y + px * s + py * c - py) <= play + 1e-9;
    });
  };
  const room = (s: Step): number =>
    gapInside(
      about.map((o) => placeOutline(o, poseOf(s))),
      outer,
    ).clearance;
  let best: Step = [0, 0, 0];
  let most = room(best);
  for (let [size, round] = [play / 2, 0]; size >= FINEST; round++) {
    const better = waysOf(round)
      .map(([x, y, t]): Step => [best[0] + x * size, best[1] + y * size, best[2] + t * size])
      .filter(allowed)
      .map((s) => ({ s, room: room(s) }))
      .reduce<{ s: Step; room: number } | null>((w, c) => (c.room > (w?.room ?? most) + 1e-9 ? c : w), null);
    if (better) [best, most] = [better.s, better.room];
    else size *= SHORTER;
  }
  const pose = poseOf(best);
  return { at: { x: pose.x - middle.x, y: pose.y - middle.y, turn: pose.turn }, clearance: most };
}

/** Shift across and along, and the turn as the way that it moves the furthest pivot, mm. */
type Step = readonly [number, number, number];
