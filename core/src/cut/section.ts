import { riseShare, toBody, type Anatomy, type Face } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { circle, crossings, nearest, placeOutline, placePoint, segmentsOf, type Interval, type Outline, type Placement, type Point } from '../shape/index.js';

/** A rectangle of a section: along its line in from–to, down in z from the top face, mm. */
export interface SectionPiece extends Interval {
  readonly kind: 'body' | 'cavity' | 'hole' | 'part' | 'screw' | 'spring' | 'travel' | 'plate';
  readonly id: string;
  /** For a cavity: which cut. */
  readonly set: string | null;
  readonly face: Face;
  readonly top: number;
  readonly bottom: number;
}

/** Where a section is taken: from one point of the body's plan to another, seen with `from` on the left. */
export interface SectionLine {
  readonly from: Point;
  readonly to: Point;
}

/** The surface of the top along a section's line: how far along, and how far above the plane at the body's edge (negative), mm. */
export type Surface = readonly { readonly along: number; readonly z: number }[];

/** A part where it sits. */
export interface PartAt {
  readonly pickup: Pickup;
  readonly at: Placement;
}

/** Which way a section's ends point on the instrument. */
export type SectionEnd = 'bass' | 'treble' | 'neck' | 'bridge';

/** A section's line begun at the end that is on the left (or at the top) as the plan is seen, with where its ends point; `side` is −1 on a plan seen mirrored. */
export function lineAsSeen(line: SectionLine, side: 1 | -1): { readonly line: SectionLine; readonly ends: readonly [SectionEnd, SectionEnd] } {
  const { from, to } = line;
  const isAcross = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y);
  const ahead = isAcross ? side * (to.x - from.x) >= 0 : to.y >= from.y;
  const [low, high] = isAcross ? (['bass', 'treble'] as const) : (['neck', 'bridge'] as const);
  const seen = ahead ? line : { from: to, to: from };
  return { line: seen, ends: isAcross && side < 0 ? [high, low] : [low, high] };
}

/** A line as long as two ends lie apart, mm. */
export function lengthOf({ from, to }: SectionLine): number {
  return Math.hypot(to.x - from.x, to.y - from.y);
}

/**
 * What is cut by the plane through a line of the plan: body, cavities, holes, plates and the part in its place, as long as the line. Pieces of unknown depth are left out.
 * The same line on an instrument that is turned and moved gives the same section.
 */
export function sectionAlong(anatomy: Anatomy, line: SectionLine, part: PartAt | null): readonly SectionPiece[] {
  const thickness = anatomy.body.thickness?.value;
  if (thickness === undefined || lengthOf(line) < 1e-6) return [];
  const cut = cutter(line);
  const pieces: SectionPiece[] = [];
  const edge = anatomy.body.outline ? cut(anatomy.body.outline.outline) : [];
  for (const i of edge) pieces.push({ kind: 'body', id: 'body', set: null, face: 'top', ...i, top: 0, bottom: thickness });
  const open = (of: Pick<SectionPiece, 'kind' | 'id' | 'set' | 'face'>, depth: number, outline: Outline): void => {
    const [top, bottom] = of.face === 'top' ? [0, depth] : [thickness - depth, thickness];
    for (const i of cut(outline)) pieces.push({ ...of, ...i, top, bottom });
  };
  for (const c of anatomy.cavities)
    for (const p of c.levels)
      if (p.depth) {
        const of = { kind: 'cavity', id: `${c.id}/${p.id}`, set: p.set, face: c.face } as const;
        open(of, p.depth.value, toBody(anatomy, c.frame, p.outline.outline));
      }
  for (const h of anatomy.holes) {
    const depth = h.through ? thickness : h.depth?.value;
    if (!h.diameter || depth === undefined || (h.face !== 'top' && h.face !== 'back')) continue;
    open({ kind: 'hole', id: h.id, set: null, face: h.face }, depth, toBody(anatomy, h.frame, circle(h.diameter.value, h.at)));
  }
  for (const plate of anatomy.plates) {
    const t = plate.thickness?.value ?? 0;
    const z = plate.face === 'top' ? { top: -t, bottom: 0 } : { top: thickness, bottom: thickness + t };
    const holes = plate.openings.flatMap((o) => cut(toBody(anatomy, plate.frame, (o.insert?.fitted ? o.insert.slot : o.outline).outline)));
    for (const i of cut(toBody(anatomy, plate.frame, plate.outline.outline)))
      for (const solid of without(i, holes)) pieces.push({ kind: 'plate', id: plate.id, set: null, face: plate.face, ...solid, ...z });
  }
  return part ? [...pieces, ...partPieces(part, line, cut, pieces)] : pieces;
}

/** Turns the plan so that the line lies along x, and tells where an outline is cut by it, no further than the line goes. */
function cutter(line: SectionLine): (outline: Outline) => readonly Interval[] {
  const turned = alongX(line);
  const far = lengthOf(line);
  return (outline) =>
    crossings(placeOutline(outline, turned), 0).flatMap((i) => {
      const held = { from: Math.max(0, i.from), to: Math.min(far, i.to) };
      return held.to - held.from > 1e-6 ? [held] : [];
    });
}

/** The placement that takes a line's beginning to the origin and the line along x. */
function alongX({ from, to }: SectionLine): Placement {
  const turn = (-Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  return { ...placePoint({ x: -from.x, y: -from.y }, { x: 0, y: 0, turn }), turn };
}

/** A spring is drawn this much wider than its screw on each side, mm [memory]. */
const SPRING = 1.2;

function partPieces({ pickup, at }: PartAt, line: SectionLine, cut: ReturnType<typeof cutter>, wood: readonly SectionPiece[]): SectionPiece[] {
  const piece = (kind: SectionPiece['kind'], id: string, i: Interval, top: number, bottom: number): SectionPiece => ({
    kind,
    id,
    set: null,
    face: 'top',
    from: i.from,
    to: i.to,
    top,
    bottom,
  });
  const down = pickup.sizes?.travelDown?.value ?? 0;
  const tiers = pickup.tiers.flatMap((tier) =>
    tier.shapes
      .flatMap((s) => [...cut(placeOutline(s.outline, at))])
      .flatMap((i) => [
        piece('part', tier.id, i, tier.from, tier.lowest.value),
        ...(down > 0 ? [piece('travel', tier.id, i, tier.lowest.value, tier.lowest.value + down)] : []),
      ]),
  );
  const half = pickup.screws.diameter / 2;
  const head = Math.min(0, ...pickup.tiers.map((l) => l.lowest.value));
  const ear = pickup.tiers.find((l) => l.id === 'ears')?.lowest.value;
  const floorAt = (x: number): number =>
    Math.max(0, ...wood.filter((p) => p.kind === 'cavity' && p.face === 'top' && p.from < x && p.to > x).map((p) => p.bottom));
  const screws = pickup.screws.at.flatMap((p): SectionPiece[] => {
    const middle = placePoint(placePoint(p, at), alongX(line));
    if (Math.abs(middle.y) >= half || middle.x < 0 || middle.x > lengthOf(line)) return [];
    const i = { from: middle.x - half, to: middle.x + half };
    const floor = floorAt(middle.x);
    const spring = ear !== undefined && floor > ear ? [piece('spring', 'spring', { from: i.from - SPRING, to: i.to + SPRING }, ear, floor)] : [];
    return [...spring, piece('screw', 'screw', i, head, pickup.screws.lowest.value)];
  });
  return [...tiers, ...screws];
}

/** An interval less the holes in it. */
function without(whole: Interval, holes: readonly Interval[]): Interval[] {
  return holes.reduce<Interval[]>(
    (rest, h) =>
      rest.flatMap((i) =>
        [
          { from: i.from, to: Math.min(i.to, h.from) },
          { from: Math.max(i.from, h.to), to: i.to },
        ].filter((j) => j.to - j.from > 1e-6),
      ),
    [whole],
  );
}

/** Places along the line at which the surface is worked out. */
const PLACES = 64;

/** The surface of a carved or bevelled top along a line, by its height over the edge and a typical rise; null where it is flat or nothing is known of it. */
export function surfaceAlong({ body }: Anatomy, line: SectionLine): Surface | null {
  const { carve, outline } = body;
  if (carve.kind === 'flat' || !carve.height || !outline) return null;
  const { kind, height } = carve;
  const edge = segmentsOf(outline.outline);
  const inside = cutter(line)(outline.outline);
  return inside.flatMap((i) =>
    Array.from({ length: PLACES + 1 }, (_, n) => {
      const along = i.from + ((i.to - i.from) * n) / PLACES;
      const p = pointAlong(line, along);
      return { along, z: -height.value * riseShare(kind, nearest([{ kind: 'line', from: p, to: p }], edge).distance) };
    }),
  );
}

/** A point of the plan so many mm along a line. */
export function pointAlong({ from, to }: SectionLine, along: number): Point {
  const far = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: from.x + ((to.x - from.x) * along) / far, y: from.y + ((to.y - from.y) * along) / far };
}
