import type { PickupChoice, PlannedRoute } from '@rinnovo/core/check';
import {
  BEHIND_ZERO_FRET,
  fretLine,
  HEADSTOCK_FRAME,
  lies,
  NECK_FRAME,
  placementOf,
  SEEN_HOLES,
  stringsAt,
  toBody,
  type Anatomy,
  type Face,
  type FeatureOutline,
} from '@rinnovo/core/instrument';
import type { Pickup } from '@rinnovo/core/part';
import { circle, placeOutline, placePoint, bounds, type Outline, type Placement, type Point, pathData } from '@rinnovo/core/shape';
import { woodScrewShank } from '@rinnovo/core/part';

/** How a line is drawn: by the conventions of technical drawing, not by colour alone. */
export type LineKind =
  | 'body'
  | 'board'
  | 'fret'
  | 'cavity'
  | 'hidden'
  | 'hole'
  | 'plate'
  | 'opening'
  | 'insert'
  | 'screw'
  | 'centre'
  | 'datum'
  | 'planned'
  | 'well'
  | 'part'
  | 'string'
  | 'edge'
  | 'gone'
  | 'section'
  | 'bore';

/** One closed or open path of the drawing, in mm. */
export interface DrawnPath {
  readonly id: string;
  readonly kind: LineKind;
  readonly d: string;
  readonly title: string;
  /** Where it is, nobody measured: drawn dashed. */
  readonly loose?: boolean;
  /** What the technician has chosen. */
  readonly chosen?: boolean;
  /** What is worked on now: drawn heavy. */
  readonly now?: boolean;
}

/** A place on the drawing with a sign and words. */
export interface Mark extends Point {
  readonly id: string;
  readonly kind: 'clashes' | 'tooClose' | 'notMeasured' | 'thin' | 'well';
  readonly title: string;
  /** The number beside it; empty where another mark is too near. */
  readonly text: string;
  /** The gravest of all: told of at the edge where it is out of sight. */
  readonly worst?: boolean;
}

/** An instrument's lines seen on one face; what lies on the other face is hidden. */
export function drawAnatomy(a: Anatomy, face: Face): readonly DrawnPath[] {
  const out: DrawnPath[] = [];
  if (a.body.outline) out.push({ id: 'body', kind: 'body', d: pathData(a.body.outline.outline), ...said('Body', a.body.outline) });
  if (a.headstock.outline)
    out.push({
      id: 'headstock',
      kind: 'body',
      d: pathData(toBody(a, HEADSTOCK_FRAME, a.headstock.outline.outline)),
      ...said('Headstock', a.headstock.outline),
    });
  const levels = (kind: 'cavity' | 'hidden'): DrawnPath[] =>
    a.cavities
      .filter((c) => (c.face === face) === (kind === 'cavity'))
      .flatMap((c) => c.levels.map((p) => ({ id: `${c.id}/${p.id}`, kind, d: pathData(toBody(a, c.frame, p.outline.outline)), ...said(c.name, p.outline) })));
  out.push(...levels('cavity'));
  for (const plate of a.plates.filter((p) => p.face === face)) {
    out.push({ id: plate.id, kind: 'plate', d: pathData(toBody(a, plate.frame, plate.outline.outline)), ...said(plate.name, plate.outline) });
    for (const o of plate.openings) {
      out.push({ id: o.id, kind: 'opening', d: pathData(toBody(a, plate.frame, o.outline.outline)), ...said(o.name, o.outline) });
      if (o.insert?.fitted) out.push({ id: o.insert.id, kind: 'insert', d: pathData(toBody(a, plate.frame, o.insert.slot.outline)), title: o.insert.name });
    }
    for (const [i, s] of plate.screws.entries()) {
      out.push({
        id: `${plate.id}/screw ${i + 1}`,
        kind: 'screw',
        d: pathData(toBody(a, plate.frame, circle(woodScrewShank(s.gauge), s))),
        title: 'Plate screw',
      });
    }
  }
  for (const h of a.holes.filter((x) => SEEN_HOLES[face].includes(x.face))) {
    out.push({ id: h.id, kind: 'hole', d: pathData(toBody(a, h.frame, circle(h.diameter?.value ?? UNKNOWN_HOLE, h.at))), title: h.name });
  }
  return [...out, ...(face === 'top' ? drawBoard(a) : []), ...levels('hidden')];
}

/** The lines of an instrument after something is done to it, with what that changes marked; what lies hidden is not. */
export function markChanged(before: readonly DrawnPath[], after: readonly DrawnPath[]): readonly DrawnPath[] {
  const was = new Map(before.map((p) => [p.id, p.d]));
  return after.map((p) => (was.get(p.id) !== p.d && p.kind !== 'hidden' ? { ...p, now: true } : p));
}

/** What an outline is called, and that it is dashed where nobody took it from the instrument. */
function said(name: string, { basis }: Pick<FeatureOutline, 'basis'>): Pick<DrawnPath, 'title' | 'loose'> {
  return basis.kind === 'default' ? { title: `${name}: typical outline`, loose: true } : { title: name };
}

/** How far a nut reaches along the strings, mm [memory]. */
const NUT = 5;

/** A hole of unknown diameter is drawn as a point of this size, mm. */
export const UNKNOWN_HOLE = 3;

/** The fingerboard's edges and its frets, as far as scale and widths are known. */
function drawBoard(a: Anatomy): readonly DrawnPath[] {
  const line = (n: number): string | null => {
    const ends = fretLine(a.neck, n);
    if (!ends) return null;
    const [p, q] = ends.map((e) => placePoint(e, placementOf(a, NECK_FRAME)));
    return p && q ? `M${p.x} ${p.y}L${q.x} ${q.y}` : null;
  };
  const nut = fretLine(a.neck, 0);
  const end = fretLine(a.neck, a.neck.frets);
  if (!nut || !end || !a.neck.nutToMouth) return [];
  // with a zero fret the board reaches to the nut behind it
  const behind = a.neck.zeroFret ? BEHIND_ZERO_FRET : 0;
  const corners = [{ ...nut[0], y: nut[0].y - behind }, { ...nut[1], y: nut[1].y - behind }, end[1], end[0]].map((p) =>
    placePoint(p, placementOf(a, NECK_FRAME)),
  );
  const board: DrawnPath = { id: 'neck', kind: 'board', d: `M${corners.map((p) => `${p.x} ${p.y}`).join('L')}Z`, title: 'Fingerboard' };
  const frets = Array.from({ length: a.neck.frets + (a.neck.zeroFret ? 1 : 0) }, (_, i) => i + (a.neck.zeroFret ? 0 : 1)).flatMap((n): DrawnPath[] => {
    const d = line(n);
    return d === null ? [] : [{ id: `fret ${n}`, kind: 'fret', d, title: n === 0 ? 'Zero fret' : `Fret ${n}` }];
  });
  const back = (p: Point, by: number): Point => placePoint({ ...p, y: p.y - by }, placementOf(a, NECK_FRAME));
  const slots = [back(nut[0], behind), back(nut[1], behind), back(nut[1], behind + NUT), back(nut[0], behind + NUT)];
  const block: DrawnPath = { id: 'nut', kind: 'board', d: `M${slots.map((p) => `${p.x} ${p.y}`).join('L')}Z`, title: 'Nut' };
  return [board, block, ...frets];
}

/** Half the length of the datum's line across, and the size of its sign, mm. */
const DATUM_REACH = 45;
const DATUM_SIZE = 4;

/** Where every offset is counted from: the mouth of the neck pocket, across the centre line, with the sign of a datum, two of its quarters filled. */
const DATUM: readonly DrawnPath[] = [
  { id: 'pocket mouth', kind: 'centre', d: `M${-DATUM_REACH} 0H${DATUM_REACH}`, title: 'Mouth of the neck pocket' },
  {
    id: 'datum',
    kind: 'datum',
    d: `M0 0V${-DATUM_SIZE}A${DATUM_SIZE} ${DATUM_SIZE} 0 0 1 ${DATUM_SIZE} 0H${-DATUM_SIZE}A${DATUM_SIZE} ${DATUM_SIZE} 0 0 0 0 ${DATUM_SIZE}Z`,
    title: 'Datum: mouth of the neck pocket, centre line',
  },
  {
    id: 'datum ring',
    kind: 'datum',
    d: `M${-DATUM_SIZE} 0A${DATUM_SIZE} ${DATUM_SIZE} 0 1 1 ${DATUM_SIZE} 0A${DATUM_SIZE} ${DATUM_SIZE} 0 1 1 ${-DATUM_SIZE} 0`,
    title: 'Datum: mouth of the neck pocket, centre line',
  },
];

/** The centre line and the outer strings, as far as they are known. */
export function drawLines(a: Anatomy, frame: Frame): readonly DrawnPath[] {
  const [from, to] = [frame.y - frame.height, frame.y + 2 * frame.height];
  const out: DrawnPath[] = [{ id: 'centre line', kind: 'centre', d: `M0 ${from}L0 ${to}`, title: 'Centre line' }, ...DATUM];
  const [upper, lower] = [stringsAt(a, from), stringsAt(a, to)];
  if (upper && lower)
    for (const [side, i] of [
      [-1, 0],
      [1, upper.length - 1],
    ] as const)
      out.push({ id: `string ${side}`, kind: 'string', d: `M${upper[i]} ${from}L${lower[i]} ${to}`, title: 'Outer string' });
  return out;
}

/** A planned route in its own frame; the view lays it where it is. */
export function drawRoute(route: PlannedRoute): readonly DrawnPath[] {
  return route.levels.map((p) => ({ id: `planned/${p.id}`, kind: p.bored ? 'well' : 'planned', d: pathData(p.outline), title: `Planned: ${p.id}` }));
}

/** Holes to be bored, each with the cross where the spur goes in. */
export function drawBores(centres: readonly Point[], diameter: number): readonly DrawnPath[] {
  return centres.map((c, i) => ({
    id: `bore ${i + 1}`,
    kind: 'bore' as const,
    d: `${pathData(circle(diameter, c))}M${c.x - 2} ${c.y}H${c.x + 2}M${c.x} ${c.y - 2}V${c.y + 2}`,
    title: `Bored: hole ${i + 1}`,
  }));
}

/** A part's outlines at its position. */
export function drawPart(part: Pickup, at: Placement): readonly DrawnPath[] {
  return part.tiers.flatMap((tier) =>
    tier.shapes.map((s, i) => ({
      id: `${tier.id} ${i}`,
      kind: 'part' as const,
      d: pathData(placeOutline(s.outline, at)),
      title: `${part.name}: ${tier.id}`,
    })),
  );
}

/** An instrument from the top with a part laid at its position and the insert as the plan has it; a plan's route is not among these lines. */
export function drawPlace(a: Anatomy, place: Pick<PickupChoice, 'position' | 'insertFitted'>, part: Pickup | null): readonly DrawnPath[] {
  const fitted = place.insertFitted;
  const shown = {
    ...a,
    plates: a.plates.map((p) => ({ ...p, openings: p.openings.map((o) => (o.insert ? { ...o, insert: { ...o.insert, fitted } } : o)) })),
  };
  const position = a.positions.find((p) => p.id === place.position);
  return [...drawAnatomy(shown, 'top'), ...(part && position ? drawPart(part, lies(position)) : [])];
}

/** A rectangle to look at, mm. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export function frameRound(outlines: readonly Outline[], margin: number): Frame {
  const b = bounds(outlines);
  return { x: b.minX - margin, y: b.minY - margin, width: b.maxX - b.minX + 2 * margin, height: b.maxY - b.minY + 2 * margin };
}

/** The whole instrument, or a sheet of 400 × 400 while nothing is known. */
export function frameOfAnatomy(a: Anatomy): Frame {
  const all = [
    ...(a.body.outline ? [a.body.outline.outline] : []),
    ...a.cavities.flatMap((c) => c.levels.map((p) => toBody(a, c.frame, p.outline.outline))),
    ...a.plates.map((p) => toBody(a, p.frame, p.outline.outline)),
  ];
  return all.length > 0 ? frameRound(all, 12) : { x: -200, y: -50, width: 400, height: 400 };
}

/** Body, neck and headstock. */
export function frameOfWhole(a: Anatomy): Frame {
  const body = frameOfAnatomy(a);
  const head = a.headstock.outline ? [toBody(a, HEADSTOCK_FRAME, a.headstock.outline.outline)] : [];
  const top = Math.min(body.y, -(a.neck.nutToMouth?.value ?? 0) - (head.length > 0 ? 0 : 200), ...head.map((o) => bounds([o]).minY)) - 12;
  return { ...body, y: top, height: body.y + body.height - top };
}

/** The rectangle as it is seen: on a left-handed instrument or from the back the drawing is mirrored in the centre line. */
export function seenFrame(f: Frame, mirrored: boolean): Frame {
  return mirrored ? { ...f, x: -f.x - f.width } : f;
}

/** The surroundings of one position: its cavity, its plate, what is planned there. */
export function frameOfPosition(a: Anatomy, positionId: string, extra: readonly Outline[] = []): Frame {
  const position = a.positions.find((p) => p.id === positionId);
  const cavity = a.cavities.find((c) => c.id === position?.cavity);
  const plate = a.plates.find((p) => p.id === position?.plate);
  const all = [
    ...(cavity ? cavity.levels.map((p) => toBody(a, cavity.frame, p.outline.outline)) : []),
    ...(plate ? [toBody(a, plate.frame, plate.outline.outline)] : []),
    ...extra,
  ];
  return all.length > 0 ? frameRound(all, 8) : frameOfAnatomy(a);
}
