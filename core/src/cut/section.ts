import { toBody, type Anatomy, type Face } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { bounds, crossings, placeOutline, type Interval } from '../shape/index.js';

/** A rectangle of a section: across in x, down in z from the top face, mm. */
export interface SectionPiece extends Interval {
  readonly kind: 'body' | 'cavity' | 'part' | 'screw' | 'plate';
  readonly id: string;
  /** For a cavity: which cut. */
  readonly set: string | null;
  readonly face: Face;
  readonly top: number;
  readonly bottom: number;
}

/** What is cut by the plane across the strings at y: body, hollows, plates and the part in its place. Pieces of unknown depth are left out. */
export function sectionAt(
  anatomy: Anatomy,
  y: number,
  part: { readonly pickup: Pickup; readonly at: { readonly x: number; readonly y: number } } | null,
): readonly SectionPiece[] {
  const thickness = anatomy.body.thickness?.value;
  if (thickness === undefined) return [];
  const pieces: SectionPiece[] = [];
  const edge = anatomy.body.outline ? crossings(anatomy.body.outline.outline, y) : [];
  for (const i of edge) pieces.push({ kind: 'body', id: 'body', set: null, face: 'top', ...i, top: 0, bottom: thickness });
  for (const c of anatomy.cavities) {
    for (const p of c.pockets) {
      if (!p.depth) continue;
      const [top, bottom] = c.face === 'top' ? [0, p.depth.value] : [thickness - p.depth.value, thickness];
      for (const i of crossings(toBody(anatomy, c.frame, p.outline.outline), y)) {
        pieces.push({ kind: 'cavity', id: `${c.id}/${p.id}`, set: p.set, face: c.face, ...i, top, bottom });
      }
    }
  }
  for (const plate of anatomy.plates) {
    const t = plate.thickness?.value ?? 0;
    const z = plate.face === 'top' ? { top: -t, bottom: 0 } : { top: thickness, bottom: thickness + t };
    const holes = plate.openings.flatMap((o) => crossings(toBody(anatomy, plate.frame, (o.insert?.fitted ? o.insert.slot : o.outline).outline), y));
    for (const i of crossings(toBody(anatomy, plate.frame, plate.outline.outline), y)) {
      for (const solid of without(i, holes)) pieces.push({ kind: 'plate', id: plate.id, set: null, face: plate.face, ...solid, ...z });
    }
  }
  return part ? [...pieces, ...partPieces(part.pickup, part.at, y)] : pieces;
}

function partPieces(pickup: Pickup, at: { readonly x: number; readonly y: number }, y: number): SectionPiece[] {
  const here = { ...at, turn: 0 };
  const levels = pickup.levels.flatMap((level) =>
    level.shapes.flatMap((s) =>
      crossings(placeOutline(s.outline, here), y).map((i): SectionPiece => ({
        kind: 'part',
        id: level.id,
        set: null,
        face: 'top',
        ...i,
        top: level.from,
        bottom: level.lowest.value,
      })),
    ),
  );
  const half = pickup.screws.diameter / 2;
  const ears = pickup.levels.map((l) => l.lowest.value);
  const screws = pickup.screws.at
    .filter((p) => Math.abs(at.y + p.y - y) < half)
    .map((p): SectionPiece => ({
      kind: 'screw',
      id: 'screw',
      set: null,
      face: 'top',
      from: at.x + p.x - half,
      to: at.x + p.x + half,
      top: Math.min(0, ...ears),
      bottom: pickup.screws.lowest.value,
    }));
  return [...levels, ...screws];
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

/** How wide the body is at y, for the drawing's scale; null when its outline is not known. */
export function widthAt(anatomy: Anatomy, y: number): Interval | null {
  if (!anatomy.body.outline) return null;
  const box = bounds([anatomy.body.outline.outline]);
  return y > box.minY && y < box.maxY ? { from: box.minX, to: box.maxX } : null;
}
