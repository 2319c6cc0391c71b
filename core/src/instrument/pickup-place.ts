import { bounds, containsPoint, roundedRectangle, type Placement, type Point } from '../shape/index.js';
import { amongStrings } from './string-across.js';
import type { Anatomy, Cavity, Opening, PickupPosition, Plate, Strings } from './anatomy.js';
import { boundsOf, featureOf, fromBody, type Feature } from './feature.js';
import { toBody } from './frame.js';

/** The cavity that a pickup place hangs in; null where place or cavity is not there. */
export function cavityOf(a: Anatomy, { position }: { readonly position: string }): Cavity | null {
  const place = a.positions.find((p) => p.id === position);
  return a.cavities.find((c) => c.id === place?.cavity) ?? null;
}

/** Where a pickup lies in the body's frame. */
export function lies({ at, turn = 0 }: Pick<PickupPosition, 'at' | 'turn'>): Placement {
  return { ...at, turn };
}

/** An opening that nobody measured: a full-width cover's window with half its usual range, mm [memory: docs/trade/instrument.md, starting kinds]. */
const TYPICAL_WINDOW = { width: 70, height: 39, corner: 3.5, limit: 1 };

/**
 * Makes a route a place for a pickup that hangs in a plate: in the plate's opening over the route's middle, or in a typical one that is put there.
 * Throws RangeError when either is not there, or a pickup hangs in the route already.
 */
export function placePickup(a: Anatomy, cavity: string, plate: string, id: string, name: string): Anatomy {
  const route = featureOf(a, cavity);
  const over = a.plates.find((p) => p.id === plate);
  if (route?.kind !== 'cavity' || !over) throw new RangeError(`nothing here is called ${route ? plate : cavity}`);
  if (a.positions.some((p) => p.cavity === cavity)) throw new RangeError('a pickup hangs in it already');
  const { plates, opening, at } = windowOver(a, over, middleOf(a, route), id, name);
  return {
    ...a,
    plates,
    cavities: a.cavities.map((c) => (c.id === cavity ? { ...c, hiddenBy: c.hiddenBy ?? plate } : c)),
    positions: [...a.positions, { id, name, cavity, plate, opening, at, part: null }],
  };
}

/** The opening of a plate over a point, mm in the body's frame, and its middle; a typical one is put there where none is. */
function windowOver(a: Anatomy, over: Plate, middle: Point, id: string, name: string) {
  const there = over.openings.find((o) => containsPoint(toBody(a, over.frame, o.outline.outline), middle));
  if (there) return { plates: a.plates, opening: there.id, at: middleOfOpening(a, over.frame, there) };
  const { width, height, corner, limit } = TYPICAL_WINDOW;
  const outline = fromBody(a, over.frame, roundedRectangle(width, height, corner, middle));
  const fresh: Opening = {
    id: `${id} window`,
    name: `${name} window`,
    outline: { outline, limit, basis: { kind: 'default' }, across: null, along: null },
    insert: null,
  };
  return { plates: a.plates.map((p) => (p.id === over.id ? { ...p, openings: [...p.openings, fresh] } : p)), opening: fresh.id, at: middle };
}

/**
 * Hangs a pickup place in another plate: in its opening over the place's middle, or in a typical one that is put there. The old opening stays;
 * what the old plate hid of the route, the new one hides. Throws RangeError when place or plate is not there.
 */
export function hangPickup(a: Anatomy, id: string, plate: string): Anatomy {
  const place = placeOf(a, id);
  const over = a.plates.find((p) => p.id === plate);
  if (!over) throw new RangeError(`nothing here is called ${plate}`);
  if (place.plate === plate) return a;
  const free = over.openings.some((o) => o.id === `${id} window`) ? `${id} ${over.openings.length}` : id;
  const { plates, opening, at } = windowOver(a, over, place.at, free, place.name);
  return {
    ...a,
    plates,
    cavities: a.cavities.map((c) => (c.id === place.cavity && c.hiddenBy === place.plate ? { ...c, hiddenBy: plate } : c)),
    positions: a.positions.map((p) => (p.id === id ? { ...p, plate, opening, at } : p)),
  };
}

/** An instrument without a pickup place; its route and the opening stay. Throws RangeError when it is not there, or a part sits in it. */
export function takeOffPickup(a: Anatomy, id: string): Anatomy {
  if (placeOf(a, id).part !== null) throw new RangeError(`a part sits in ${id}`);
  return { ...a, positions: a.positions.filter((p) => p.id !== id) };
}

function placeOf(a: Anatomy, id: string): PickupPosition {
  const place = a.positions.find((p) => p.id === id);
  if (!place) throw new RangeError(`nothing here is called ${id}`);
  return place;
}

function middleOf(a: Anatomy, f: Feature): Point {
  const b = boundsOf(a, f);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}

/**
 * How far a pickup place is turned about its middle, degrees, and which strings lie over it; null: all. Throws RangeError when it is not there.
 */
export function describePickupPlace(
  a: Anatomy,
  id: string,
  { turn, strings }: { readonly turn: number; readonly strings: readonly [number, number] | null },
): Anatomy {
  placeOf(a, id);
  const told = (p: PickupPosition): PickupPosition => (strings ? { ...p, turn, strings } : { ...underAll(p), turn });
  return { ...a, positions: a.positions.map((p) => (p.id === id ? told(p) : p)) };
}

/** Other strings on an instrument; a pickup place that lay under strings that are no more lies under all. */
export function describeStrings(a: Anatomy, strings: Strings): Anatomy {
  const n = amongStrings(strings, true).length;
  return { ...a, strings, positions: a.positions.map((p) => (p.strings && p.strings[1] > n ? underAll(p) : p)) };
}

function underAll(p: PickupPosition): PickupPosition {
  const { strings, ...rest } = p;
  return strings ? rest : p;
}

function middleOfOpening(a: Anatomy, frame: string, o: Opening): Point {
  const b = bounds([toBody(a, frame, o.outline.outline)]);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}
