import { bounds, placePoint, recognise, roundedRectangle, shaped, type Outline, type PlainShape, type Point } from '../shape/index.js';
import type { Anatomy, FeatureOutline, Opening, Plate, PlateScrew } from './anatomy.js';
import { placementOf, toBody } from './frame.js';
import { fromBody } from './feature.js';

/** Sizes of a fresh opening, mm [memory: about a slim pickup's window], and the limit of what is only put there [trade: a steel rule's]. */
const FIRST_OPENING = { width: 70, height: 19, corner: 3 } as const;
const STATED_LIMIT = 0.25;

/** The box round an opening as a shape in the body's frame, mm. Throws RangeError when it is not there. */
export function openingShape(a: Anatomy, plate: string, opening: string): PlainShape {
  const p = plateOf(a, plate);
  return recognise(toBody(a, p.frame, openingOf(p, opening).outline.outline));
}

/** A plate with one more opening in its middle, stated and not measured. Throws RangeError when the id is taken. */
export function addOpening(a: Anatomy, plate: string, as: { readonly id: string; readonly name: string }): Anatomy {
  const p = plateOf(a, plate);
  if (p.openings.some((o) => o.id === as.id)) throw new RangeError(`${as.id} is there already`);
  const b = bounds([p.outline.outline]);
  const { width, height, corner } = FIRST_OPENING;
  const within = (wanted: number, room: number): number => Math.min(wanted, room * 0.6);
  const [w, h] = [within(width, b.maxX - b.minX), within(height, b.maxY - b.minY)];
  const outline = roundedRectangle(w, h, Math.min(corner, w / 2, h / 2), { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 });
  return withPlate(a, { ...p, openings: [...p.openings, { ...as, outline: stated(outline), insert: null }] });
}

/** An opening with another name or another shape in the body's frame; a pickup that hangs in it goes with its middle. */
export function changeOpening(a: Anatomy, plate: string, opening: string, change: { readonly name?: string; readonly shape?: PlainShape }): Anatomy {
  const p = plateOf(a, plate);
  const was = openingOf(p, opening);
  const { shape } = change;
  if (!shape) return withOpening(a, p, { ...was, name: change.name ?? was.name });
  const inBody = toBody(a, p.frame, was.outline.outline);
  const named = { ...was, name: change.name ?? was.name, outline: stated(fromBody(a, p.frame, shaped(shape, inBody)), was.outline.limit) };
  return hung(withOpening(a, p, named), opening, recognise(inBody).at, shape.at);
}

/** An opening with another outline, given in the body's frame; a pickup that hangs in it goes with its middle. */
export function redrawOpening(a: Anatomy, plate: string, opening: string, drawn: Pick<FeatureOutline, 'outline' | 'limit' | 'basis'>): Anatomy {
  const p = plateOf(a, plate);
  const was = openingOf(p, opening);
  const outline: FeatureOutline = { ...drawn, outline: fromBody(a, p.frame, drawn.outline), across: null, along: null };
  const before = recognise(toBody(a, p.frame, was.outline.outline)).at;
  return hung(withOpening(a, p, { ...was, outline }), opening, before, recognise(drawn.outline).at);
}

/** A plate without one of its openings. Throws RangeError while a pickup place hangs in it. */
export function removeOpening(a: Anatomy, plate: string, opening: string): Anatomy {
  const p = plateOf(a, plate);
  openingOf(p, opening);
  if (a.positions.some((x) => x.plate === plate && x.opening === opening)) throw new RangeError(`a pickup place hangs in ${opening}`);
  return withPlate(a, { ...p, openings: p.openings.filter((o) => o.id !== opening) });
}

/** The places of a plate's screws in the body's frame, mm. */
export function plateScrews(a: Anatomy, plate: string): readonly PlateScrew[] {
  const p = plateOf(a, plate);
  const at = placementOf(a, p.frame);
  return p.screws.map((s) => ({ ...s, ...placePoint(s, at) }));
}

/** A plate with other screws, stated in the body's frame. Throws RangeError for a screw that is not on the plate. */
export function withPlateScrews(a: Anatomy, plate: string, screws: readonly PlateScrew[]): Anatomy {
  const p = plateOf(a, plate);
  const at = placementOf(a, p.frame);
  const own = (q: Point): Point => placePoint({ x: q.x - at.x, y: q.y - at.y }, { x: 0, y: 0, turn: -at.turn });
  const b = bounds([p.outline.outline]);
  const placed = screws.map((s) => ({ ...s, ...own(s) }));
  const off = placed.findIndex((s) => s.x < b.minX || s.x > b.maxX || s.y < b.minY || s.y > b.maxY);
  if (off >= 0) throw new RangeError(`screw ${off + 1} is not on the plate`);
  return withPlate(a, { ...p, screws: placed });
}

function stated(outline: Outline, limit: number = STATED_LIMIT): FeatureOutline {
  return { outline, limit, basis: { kind: 'stated' }, across: null, along: null };
}

function plateOf(a: Anatomy, id: string): Plate {
  const p = a.plates.find((x) => x.id === id);
  if (!p) throw new RangeError(`nothing here is called ${id}`);
  return p;
}

function openingOf(p: Plate, id: string): Opening {
  const o = p.openings.find((x) => x.id === id);
  if (!o) throw new RangeError(`nothing here is called ${id}`);
  return o;
}

function withPlate(a: Anatomy, p: Plate): Anatomy {
  return { ...a, plates: a.plates.map((x) => (x.id === p.id ? p : x)) };
}

function withOpening(a: Anatomy, p: Plate, o: Opening): Anatomy {
  return withPlate(a, { ...p, openings: p.openings.map((x) => (x.id === o.id ? o : x)) });
}

function hung(a: Anatomy, opening: string, from: Point, to: Point): Anatomy {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  if (dx === 0 && dy === 0) return a;
  return { ...a, positions: a.positions.map((x) => (x.opening === opening ? { ...x, at: { x: x.at.x + dx, y: x.at.y + dy } } : x)) };
}
