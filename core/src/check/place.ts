import type { Anatomy, Cavity, FeatureOutline, Opening, PickupPosition, Plate, Level } from '../instrument/index.js';
import { lies, placementOf, toBody } from '../instrument/index.js';
import { leaf, setting, type Dimension, type Leaf } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import { isPickup, type Pickup, type Shelf, type StockItem, type Tool } from '../part/index.js';
import type { Fitted } from '../survey/index.js';
import { asFitted } from './as-fitted.js';
import type { PickupChoice } from './choice.js';
import { placeOutline, type Outline, type Placement, type Region } from '../shape/index.js';

/** Everything a check may look at. Immutable: the memos go by the identity of its pieces. */
export interface PlanState {
  readonly anatomy: Anatomy;
  readonly parts: Shelf;
  /** What lies in the drawers. */
  readonly stock: readonly StockItem[];
  readonly settings: Settings;
  /** What the shop cuts and drills with. */
  readonly tools: readonly Tool[];
  /** What the instrument has that others do not. */
  readonly fitted: readonly Fitted[];
  /** Source and key of the work that is done already: what a plan wants of it counts no more. */
  readonly done: ReadonlySet<string>;
}

/** A pickup position with what it is made of, and the part that is to be there. */
export interface PlaceOfPart {
  readonly choice: PickupChoice;
  readonly state: PlanState;
  readonly position: PickupPosition;
  readonly cavity: Cavity;
  readonly plate: Plate;
  readonly opening: Opening;
  readonly part: Pickup | null;
}

const places = new WeakMap<PlanState, Map<PickupChoice, PlaceOfPart>>();

/** The same, gathered once for a state and a choice. */
export function placeAt(state: PlanState, choice: PickupChoice): PlaceOfPart {
  const known = places.get(state) ?? new Map<PickupChoice, PlaceOfPart>();
  const place = known.get(choice) ?? placeOf(state, choice);
  places.set(state, known.set(choice, place));
  return place;
}

/** Gathers a position's cavity, plate, opening and part. Throws RangeError when the anatomy is not whole. */
export function placeOf(state: PlanState, choice: PickupChoice): PlaceOfPart {
  const { anatomy } = state;
  const position = found(anatomy.positions, choice.position);
  const plate = found(anatomy.plates, position.plate);
  return {
    choice,
    state,
    position,
    cavity: found(anatomy.cavities, position.cavity),
    plate,
    opening: found(plate.openings, position.opening),
    part: position.part === null ? null : asFitted(pickupOf(state, position.part), position),
  };
}

function pickupOf(state: PlanState, id: string): Pickup {
  const part = state.parts[id];
  if (!part) throw new RangeError(`nothing here is called ${id}`);
  if (!isPickup(part)) throw new RangeError(`${part.name} is no pickup`);
  return part;
}

function found<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  const x = list.find((i) => i.id === id);
  if (!x) throw new RangeError(`nothing here is called ${id}`);
  return x;
}

/** The hole in the plate as it stands: the insert's slot when it is fitted, otherwise the opening. */
export function windowOf(place: PlaceOfPart): { readonly id: string; readonly outline: FeatureOutline } {
  const { insert } = place.opening;
  return insert?.fitted ? { id: insert.id, outline: insert.slot } : { id: place.opening.id, outline: place.opening.outline };
}

const regions = new WeakMap<readonly Level[], { readonly by: Placement; readonly region: Region }>();

/** The outlines of levels in the body's frame; the same list of levels in a frame that lies where it lay gives the same region again. */
export function regionOf(anatomy: Anatomy, cavity: Cavity, levels: readonly Level[] = cavity.levels): Region {
  const by = placementOf(anatomy, cavity.frame);
  const known = regions.get(levels);
  if (known?.by.x === by.x && known.by.y === by.y && known.by.turn === by.turn) return known.region;
  const region = levels.map((p) => toBody(anatomy, cavity.frame, p.outline.outline));
  regions.set(levels, { by, region });
  return region;
}

/** A part's outline laid at its position. */
export function laid(outline: Outline, position: PickupPosition): Outline {
  return placeOutline(outline, lies(position));
}

/** A size of a part in a sum, by which the part is known. */
export function partLeaf(label: string, d: Dimension, part: string): Leaf {
  return leaf(label, d, { quantity: `part ${label}`, feature: part });
}

/** The part that a number of a sum is of; null where it is of the instrument or of the shop. */
export function partOfLeaf({ ref }: Leaf): string | null {
  return ref && /^part( |Outline$)/.test(ref.quantity) ? ref.feature : null;
}

/** What an outline adds to the limits of a sum. */
export function outlineLeaf(o: FeatureOutline, feature: string, part?: string): Leaf {
  const ref = part === undefined ? { quantity: 'outline', feature } : { quantity: 'outline', feature, part };
  return leaf('outline', { value: 0, limit: o.limit, basis: o.basis }, ref);
}

/** The loosest outline among levels, as a leaf: they are cut or traced together. */
export function levelsLeaf(cavity: Cavity, levels: readonly Level[]): Leaf {
  const loosest = levels.reduce<Level | null>((w, p) => (w && w.outline.limit >= p.outline.limit ? w : p), null);
  if (!loosest) throw new RangeError('a cavity without levels');
  return outlineLeaf(loosest.outline, cavity.id, loosest.id);
}

/** A plate that is taken off and put back does not land where it was. */
export function plateBackLeaf(settings: Settings): Leaf {
  return setting('plateBack', 0, 'limitPlateBack', settings.limitPlateBack);
}

/** What a part that sits higher on a spacer gains in depth, as a term of a sum; nothing where it sits as it came. */
export function raisedTerm({ position }: PlaceOfPart): readonly (readonly [1, Leaf])[] {
  return position.raised ? [[1, leaf('pickupRaised', position.raised)]] : [];
}
