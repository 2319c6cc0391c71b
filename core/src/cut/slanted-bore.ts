import type { Point } from '../shape/index.js';

/** A bore from a cavity's wall up to the face, for a ground wire under the bridge. */
export interface SlantedBore {
  /** How long it is in the wood, mm. */
  readonly length: number;
  /** How steep, degrees against the face. */
  readonly angle: number;
  /** Which way it goes in plan, degrees from across (bass to treble) towards along (to the bridge). */
  readonly heading: number;
}

/** From a point on a cavity's wall, so deep under the face, to where it comes out of the face: 60 away and 20 deep: 63.2 long at 18.4° [law]. Null where both are one point. */
export function slantedBore(from: Point, depth: number, exit: Point): SlantedBore | null {
  const [dx, dy] = [exit.x - from.x, exit.y - from.y];
  const flat = Math.hypot(dx, dy);
  if (flat + depth < 1e-9) return null;
  const degrees = (radians: number): number => (radians * 180) / Math.PI;
  return { length: Math.hypot(flat, depth), angle: degrees(Math.atan2(depth, flat)), heading: degrees(Math.atan2(dy, dx)) };
}
