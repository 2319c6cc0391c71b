import { placementOf, toBody, frameOfFace, type Anatomy, type Cavity, type Hole, type Plate } from '../instrument/index.js';
import { leaf, type Dimension, type Leaf } from '../measure/index.js';
import { isHardware, type Hardware, type SizeId } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { bounds, circle, containsPoint, placePoint, type Point, type Region } from '../shape/index.js';
import { isHardwareChoice, type HardwareChoice, type Plan } from './choice.js';
import { depthOf, type DepthHere } from './depth-here.js';
import type { PlanState } from './place.js';
import type { CheckId, CheckRows } from './row.js';
import { lackingVerdict, missingVerdict, verdict, type Lacking, type Verdict } from './verdict.js';
import type { Working } from '../measure/index.js';

/** A place with the part that is to go there, and what of the instrument is round it. */
export interface PartSite {
  readonly rows: CheckRows;
  readonly state: PlanState;
  readonly plan: Plan;
  readonly choice: HardwareChoice;
  readonly part: Hardware;
  /** The hole it goes through; null for a slot or a plate. */
  readonly hole: Hole | null;
  readonly slot: Cavity | null;
  readonly plate: Plate | null;
  /** Its middle in the body's frame. */
  readonly at: Point;
  /** The cavity in which its body hangs: under the plate that lies over it, or in the other face behind the wood; null where none is. */
  readonly room: Room | null;
}

export interface Room {
  readonly cavity: Cavity;
  /** It hangs from this plate; null: from the wood. */
  readonly from: Plate | null;
}

const sites = new WeakMap<PlanState, WeakMap<Plan, Map<HardwareChoice, PartSite>>>();

/** Gathers a hardware choice's surroundings, once for the same state and plan; null when no part is chosen. Throws RangeError when its part is no hardware. */
export function siteOf(rows: CheckRows, state: PlanState, plan: Plan, choice: HardwareChoice): PartSite | null {
  if (choice.part === null) return null;
  const ofState = sites.get(state) ?? new WeakMap<Plan, Map<HardwareChoice, PartSite>>();
  const known = ofState.get(plan) ?? new Map<HardwareChoice, PartSite>();
  const old = known.get(choice);
  const site = old?.rows === rows ? old : gather({ rows, state, plan, choice }, choice.part);
  sites.set(state, ofState.set(plan, known.set(choice, site)));
  return site;
}

function gather({ rows, state, plan, choice }: Pick<PartSite, 'rows' | 'state' | 'plan' | 'choice'>, id: string): PartSite {
  const whole = state.parts[id];
  if (!whole) throw new RangeError(`nothing here is called ${id}`);
  if (!isHardware(whole)) throw new RangeError(`${whole.name} is a pickup: it needs a pickup’s place`);
  const part = trimmed(whole, choice.trim ?? 0);
  const { anatomy } = state;
  const { place } = choice;
  const feature = place.on === 'face' ? choice.id : place.feature;
  const hole = anatomy.holes.find((h) => h.id === feature) ?? null;
  const slot = anatomy.cavities.find((c) => c.id === feature) ?? null;
  const plate = anatomy.plates.find((p) => p.id === feature) ?? null;
  const at = middleOf(anatomy, choice, hole, slot, plate);
  return { rows, state, plan, choice, part, hole, slot, plate, at, room: roomAt(anatomy, hole?.face ?? slot?.face ?? 'top', at, slot) };
}

/** How sure a cut by saw and file is, mm [memory]. */
const TRIM_LIMIT = 0.3;

/** A screw or a pin cut shorter. */
function trimmed(part: Hardware, by: number): Hardware {
  const { length } = part.sizes;
  return by === 0 || !length ? part : { ...part, sizes: { ...part.sizes, length: { ...length, value: length.value - by, limit: length.limit + TRIM_LIMIT } } };
}

function middleOf(a: Anatomy, { place }: Placed, hole: Hole | null, slot: Cavity | null, plate: Plate | null): Point {
  if (place.on === 'face') return placePoint(place.at, placementOf(a, frameOfFace(place.face)));
  if (hole) return placePoint(hole.at, placementOf(a, hole.frame));
  const screw = place.screw === undefined ? undefined : plate?.screws[place.screw];
  if (plate && screw) return placePoint(screw, placementOf(a, plate.frame));
  const outlines = slot ? slot.levels.map((p) => toBody(a, slot.frame, p.outline.outline)) : plate ? [toBody(a, plate.frame, plate.outline.outline)] : [];
  if (outlines.length === 0) return { x: 0, y: 0 };
  const b = bounds(outlines);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}

/** The cavity under a point of a face: one of the same face under a plate, else one of the other face behind the wood. */
function roomAt(a: Anatomy, face: Hole['face'], at: Point, slot: Cavity | null): Room | null {
  if (face !== 'top' && face !== 'back') return null;
  const holds = (c: Cavity): boolean => c.id !== slot?.id && c.levels.some((p) => containsPoint(toBody(a, c.frame, p.outline.outline), at));
  const over = a.plates.find((p) => p.face === face && containsPoint(toBody(a, p.frame, p.outline.outline), at)) ?? null;
  const same = a.cavities.find((c) => c.face === face && holds(c));
  if (same && over) return { cavity: same, from: over };
  const other = a.cavities.find((c) => c.face !== face && holds(c));
  return other ? { cavity: other, from: null } : null;
}

/** What has a place of its own. */
type Placed = Pick<HardwareChoice, 'id' | 'place'>;

/** The middle of the place of a choice, in the body's frame. */
export function middleOfPlace(a: Anatomy, choice: Placed): Point {
  const id = choice.place.on === 'face' ? choice.id : choice.place.feature;
  const find = <T extends { readonly id: string }>(list: readonly T[]): T | null => list.find((f) => f.id === id) ?? null;
  return middleOf(a, choice, find(a.holes), find(a.cavities), find(a.plates));
}

const middles = new WeakMap<PlanState, { readonly plan: Plan; readonly list: readonly Middle[] }>();

/** A part of a plan that is no pickup, and where its middle lies in the body's frame. */
export interface Middle {
  readonly of: HardwareChoice;
  readonly at: Point;
}

/** All of them, worked out once for the same state and plan: every one of them asks where the others are. */
export function middlesOf(state: PlanState, plan: Plan): readonly Middle[] {
  const known = middles.get(state);
  if (known?.plan === plan) return known.list;
  const list = plan.choices.filter(isHardwareChoice).map((of) => ({ of, at: middleOfPlace(state.anatomy, of) }));
  middles.set(state, { plan, list });
  return list;
}

/** The cavity behind a point of a face, for what hangs there; null where the wood is whole. The point is in the face's own frame. */
export function cavityAt(a: Anatomy, face: Hole['face'], at: Point): Cavity | null {
  return roomAt(a, face, placePoint(at, placementOf(a, frameOfFace(face))), null)?.cavity ?? null;
}

/** The deepest level of a cavity under a point: how far it goes down there. */
export function depthAt(a: Anatomy, c: Cavity, at: Point): DepthHere | null {
  const under = c.levels.filter((p) => containsPoint(toBody(a, c.frame, p.outline.outline), at));
  const deepest = under.reduce<(typeof under)[number] | null>((d, p) => (d && (d.depth?.value ?? -1) >= (p.depth?.value ?? -1) ? d : p), null);
  return deepest && depthOf(c, deepest);
}

/** A dimension that was asked for in a verdict's needs. Throws RangeError when it is not known. */
export function sure(d: Dimension | null): Dimension {
  if (!d) throw new RangeError('a dimension that was not asked for');
  return d;
}

/** A known size of the part as a number of a sum. */
export function sizeLeaf(part: Hardware, size: SizeId, d: Dimension): Leaf {
  return leaf(`part ${size}`, d, { quantity: `part ${size}`, feature: part.id });
}

/** What a sum is made of: dimensions of the instrument, and sizes of the part; any of them may be unknown. */
export interface Needs {
  readonly targets?: readonly (readonly [Dimension | null, Target])[];
  readonly sizes?: readonly SizeId[];
}

/** What is judged: of which item and against which other, what it needs, and what is wanted at least, mm. */
export interface Judging {
  readonly check: CheckId;
  readonly item?: string;
  readonly against?: string;
  readonly needs: Needs;
  readonly minimum: number;
}

/** A verdict from a sum, or what has to be measured before it can be made, on the instrument and on the part. */
export function judged(site: PartSite, { check, item = '', needs, minimum, against }: Judging, sum: () => Working): Verdict {
  const subject = { feature: site.choice.id, item, ...(against === undefined ? {} : { against }) };
  const missing = (needs.targets ?? []).flatMap(([d, t]) => (d === null ? [t] : []));
  const lacks = (needs.sizes ?? []).flatMap((size): readonly Lacking[] => (site.part.sizes[size] ? [] : [{ part: site.part.id, size }]));
  if (lacks.length > 0) return lackingVerdict(check, subject, { lacks, missing, minimum, at: site.at });
  return missing.length > 0 ? missingVerdict(check, subject, missing, minimum, site.at) : verdict(check, subject, sum(), minimum, site.at);
}

/** A size of the part that is known to be there. Throws RangeError otherwise: ask for it in `needs` first. */
export function known(site: PartSite, size: SizeId): Leaf {
  const d = site.part.sizes[size];
  if (!d) throw new RangeError(`${site.part.name} has no ${size}`);
  return sizeLeaf(site.part, size, d);
}

/** The largest of some sizes that are known: what hides a hole is its washer or its knob. */
export function widest(part: Hardware, sizes: readonly SizeId[]): { readonly size: SizeId; readonly is: Dimension } | null {
  return sizes.reduce<{ readonly size: SizeId; readonly is: Dimension } | null>((w, size) => {
    const is = part.sizes[size];
    return is && (!w || is.value > w.is.value) ? { size, is } : w;
  }, null);
}

const bodies = new WeakMap<Hardware, Map<string, Region | null>>();

/** A part that is dragged about is remembered at so many spots. */
const MOST_SPOTS = 200;

/** What of a part hangs in the room below: its body, round or square, round its middle; null while it is not known. The same part at the same spot is the very same region. */
export function bodyOf(part: Hardware, at: Point, more = 0): Region | null {
  const known = bodies.get(part) ?? new Map<string, Region | null>();
  const key = `${at.x}|${at.y}|${more}`;
  const body = known.get(key) ?? bodyOutline(part, at, more);
  bodies.set(part, known.size < MOST_SPOTS ? known.set(key, body) : known);
  return body;
}

function bodyOutline({ sizes: { body, bodyLength, bodyWidth } }: Hardware, at: Point, more: number): Region | null {
  if (body) return [circle(body.value + 2 * more, at)];
  if (!bodyLength || !bodyWidth) return null;
  const [w, h] = [bodyWidth.value / 2 + more, bodyLength.value / 2 + more];
  const corner = (x: number, y: number) => ({ x: at.x + x, y: at.y + y, bulge: 0 });
  return [{ vertices: [corner(-w, -h), corner(w, -h), corner(w, h), corner(-w, h)] }];
}

/** The limit of a body's edge, mm, and how it is known. */
export function bodyLeaf(part: Hardware): Leaf {
  const d = part.sizes.body ?? part.sizes.bodyLength ?? { value: 0, limit: 0, basis: { kind: 'default' as const } };
  return leaf('partOutline', { value: 0, limit: d.limit / 2, basis: d.basis }, { quantity: 'partOutline', feature: part.id });
}

/** How sure the place of a hole is, mm. */
export function placeLeaf(site: PartSite): Leaf {
  const h = site.hole;
  return leaf(
    'holePlace',
    { value: 0, limit: h?.limit ?? site.state.settings.limitTemplate, basis: h?.basis ?? { kind: 'planned' } },
    { quantity: 'holePlace', feature: site.choice.id },
  );
}
