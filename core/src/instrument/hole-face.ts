import { bounds, placePoint } from '../shape/index.js';
import { BODY_FRAME, HEADSTOCK_FRAME, NECK_FRAME, type Anatomy, type HoleFace } from './anatomy.js';
import { placementOf, toBody } from './frame.js';

/** Every face that can have a hole. */
export const HOLE_FACES: readonly HoleFace[] = ['top', 'back', 'side', 'headstock front', 'headstock back', 'fingerboard'];

/** In whose frame a face's holes are stated. On the side x is the depth below the top and y goes along as everywhere. */
const FRAME: Readonly<Record<HoleFace, string>> = {
  top: BODY_FRAME,
  back: BODY_FRAME,
  side: BODY_FRAME,
  'headstock front': HEADSTOCK_FRAME,
  'headstock back': HEADSTOCK_FRAME,
  fingerboard: NECK_FRAME,
};

/** The frame in which the holes of a face are stated. */
export function frameOfFace(face: HoleFace): string {
  return FRAME[face];
}

/** The body as it is seen from the side: how deep it is, and from where to where it goes along, mm. */
export interface SideStrip {
  readonly depth: number;
  readonly from: number;
  readonly to: number;
}

/** Depth of a body of unknown thickness on the side view, mm [memory: a usual solid body]. */
const USUAL_DEPTH = 44;

export function sideStrip(a: Anatomy): SideStrip {
  const b = a.body.outline ? bounds([a.body.outline.outline]) : { minY: 0, maxY: 400 };
  return { depth: a.body.thickness?.value ?? USUAL_DEPTH, from: b.minY, to: b.maxY };
}

/** A hole on another face, where it is now as seen; onto or off the side only its place along is kept. Its place is stated from then on. Throws RangeError when it is not there. */
export function placeHoleOn(a: Anatomy, id: string, face: HoleFace): Anatomy {
  const h = a.holes.find((x) => x.id === id);
  if (!h) throw new RangeError(`nothing here is called ${id}`);
  if (h.face === face) return a;
  const seen = placePoint(h.at, placementOf(a, h.frame));
  const strip = sideStrip(a);
  const target = face === 'side' ? { x: strip.depth / 2, y: Math.min(strip.to, Math.max(strip.from, seen.y)) } : h.face === 'side' ? { x: 0, y: seen.y } : seen;
  const frame = placementOf(a, FRAME[face]);
  const at = placePoint({ x: target.x - frame.x, y: target.y - frame.y }, { x: 0, y: 0, turn: -frame.turn });
  return { ...a, holes: a.holes.map((x) => (x.id === id ? { ...x, face, frame: FRAME[face], at, basis: { kind: 'stated' }, hiddenBy: null } : x)) };
}

/** A cavity as the side shows it: from which depth to which, and along. Unknown depths are left out. */
export interface SideShadow {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly along: readonly [number, number];
}

/** What the levels of both faces would be from the side, each down from its own face. */
export function sideShadows(a: Anatomy): readonly SideShadow[] {
  const { depth } = sideStrip(a);
  return a.cavities.flatMap((c) =>
    c.levels.flatMap((p) => {
      if (!p.depth) return [];
      const b = bounds([toBody(a, c.frame, p.outline.outline)]);
      const [from, to] = c.face === 'top' ? [0, p.depth.value] : [depth - p.depth.value, depth];
      return [{ id: `${c.id}/${p.id}`, name: c.name, from, to, along: [b.minY, b.maxY] as const }];
    }),
  );
}
