import type { Basis, Dimension } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { bounds, recognise, roundedRectangle, type Bounds, type Outline } from '../shape/index.js';
import type { Anatomy, Cavity, FeatureOutline, Plate } from './anatomy.js';
import { dimensionAt, outlineAt, withDimension, withOutline } from './dimension-at.js';
import { placePickup } from './pickup-place.js';
import { firstFeature, startingAnatomy, type StartingKind } from './starting-kind.js';

/** What may lie over a pickup route. */
export type RouteCover = 'guard' | 'plate' | 'ring';
export const ROUTE_COVERS: readonly RouteCover[] = ['guard', 'plate', 'ring'];

const BOX = ['x', 'y', 'width', 'height', 'corner'] as const;
type BoxSide = (typeof BOX)[number];
type Boxed = 'route' | 'cover' | 'window' | 'back';

/** A size that may be at hand when an instrument arrives. */
export type SizeKey =
  | 'scale'
  | 'nutToMouth'
  | 'spreadAtNut'
  | 'spreadAtSaddles'
  | 'bodyWidth'
  | 'bodyLength'
  | 'thickness'
  | 'pocketWidth'
  | 'pocketLength'
  | 'pocketDepth'
  | 'routeDepth'
  | 'coverThickness'
  | 'backDepth'
  | `${Boxed}-${BoxSide}`;

/** Sizes as typed, mm; what is not there keeps its typical value. */
export type SizesAtHand = Readonly<Partial<Record<SizeKey, number>>>;

/** An instrument as it comes in at the door. */
export interface Arrival {
  readonly kind: StartingKind;
  readonly handed: Anatomy['handed'];
  /** How many strings; null: as many as its kind usually has. */
  readonly strings: number | null;
  /** What lies over the pickup route; null: nothing is known to. */
  readonly cover: RouteCover | null;
  readonly sizes: SizesAtHand;
  /** The pickup that sits there now. */
  readonly fitted: string | null;
}

/** Limit of a size that was typed without a tool, mm [trade: docs/trade/part.md, tools: a steel rule's]. */
const STATED_LIMIT = 0.25;
const stated: Basis = { kind: 'stated' };
const dimension = (value: number): Dimension => ({ value, limit: STATED_LIMIT, basis: stated });

const ROUTE = 'bridge route';
const COVER = 'cover';
const BACK = 'controls';
const PLACE = 'bridge pickup';

/** Whose box it is: a feature of the anatomy, and of a plate its window. */
const BOXED: Readonly<Record<Boxed, (a: Anatomy) => { readonly feature: string; readonly part?: string } | null>> = {
  route: (a) => levelOf(a, ROUTE),
  cover: (a) => (a.plates.some((p) => p.id === COVER) ? { feature: COVER } : null),
  window: (a) => {
    const at = a.positions.find((p) => p.id === PLACE);
    return at ? { feature: at.plate, part: at.opening } : null;
  },
  back: (a) => levelOf(a, BACK),
};

function levelOf(a: Anatomy, cavity: string): { readonly feature: string; readonly part: string } | null {
  const level = a.cavities.find((c) => c.id === cavity)?.levels[0];
  return level ? { feature: cavity, part: level.id } : null;
}

/** The dimension that a size is, where it is one that a tool reads; null where the instrument has no such place. */
export function targetOfSize(a: Anatomy, key: SizeKey): Target | null {
  const depth = (cavity: string): Target | null => {
    const level = levelOf(a, cavity);
    return level && { quantity: 'levelDepth', ...level };
  };
  switch (key) {
    case 'scale':
      return { quantity: 'scaleLength', feature: 'neck' };
    case 'nutToMouth':
      return { quantity: 'nutToMouth', feature: 'neck' };
    case 'spreadAtNut':
    case 'spreadAtSaddles':
      return { quantity: key, feature: 'strings' };
    case 'thickness':
      return { quantity: 'bodyThickness', feature: 'body' };
    case 'pocketDepth':
      return depth('neck pocket');
    case 'routeDepth':
      return depth(ROUTE);
    case 'backDepth':
      return depth(BACK);
    case 'coverThickness':
      return a.plates.some((p) => p.id === COVER) ? { quantity: 'plateThickness', feature: COVER } : null;
    default: {
      const width = widthOf(a, key);
      return width && { quantity: width.side === 'width' ? 'checkWidthAcross' : 'checkWidthAlong', ...width.of };
    }
  }
}

/** The outline that a width belongs to; null for one that is none. */
function widthOf(a: Anatomy, key: SizeKey): { readonly of: { readonly feature: string; readonly part?: string }; readonly side: 'width' | 'height' } | null {
  if (key === 'bodyWidth' || key === 'bodyLength') return { of: { feature: 'body' }, side: key === 'bodyWidth' ? 'width' : 'height' };
  if (key === 'pocketWidth' || key === 'pocketLength') {
    const of = levelOf(a, 'neck pocket');
    return of && { of, side: key === 'pocketWidth' ? 'width' : 'height' };
  }
  const [box, side] = key.split('-') as [Boxed, BoxSide | undefined];
  const of = side === 'width' || side === 'height' ? BOXED[box](a) : null;
  return of && { of, side: side === 'width' ? 'width' : 'height' };
}

/** What a size is on the anatomy, mm; null where it has no such place. A bolt-on's body thickness: 44.5. */
export function sizeAt(a: Anatomy, key: SizeKey): number | null {
  const box = boxOf(a, key);
  if (box) return box[0][box[1]];
  const width = widthOf(a, key);
  if (width) {
    const b = boundsAt(a, width.of);
    return b && (width.side === 'width' ? b.maxX - b.minX : b.maxY - b.minY);
  }
  const target = targetOfSize(a, key);
  const found = target && dimensionAt(a, target);
  return found?.exists ? (found.dimension?.value ?? null) : null;
}

/** The box a size is one side of; null for one that is of no box, or of one that is not there. */
function boxOf(a: Anatomy, key: SizeKey): readonly [Readonly<Record<BoxSide, number>>, BoxSide] | null {
  const [box, side] = key.split('-') as [Boxed, BoxSide | undefined];
  const of = side && BOXED[box](a);
  const found = of && outlineAt(a, of.feature, of.part);
  return found ? [boxRound(found.outline), side] : null;
}

function boxRound(o: Outline): Readonly<Record<BoxSide, number>> {
  const s = recognise(o);
  return { ...s.at, width: s.width, height: s.kind === 'circle' ? s.width : s.height, corner: s.kind === 'rectangle' ? s.corner : 0 };
}

const boundsAt = (a: Anatomy, of: { readonly feature: string; readonly part?: string }): Bounds | null => {
  const o = outlineAt(a, of.feature, of.part);
  return o && bounds([o.outline]);
};

/**
 * The anatomy of an instrument that has just arrived: typical for its kind, and by the sizes at hand where there are some; those are stated, the rest is typical.
 * A pickup hangs in the cover over the route. Sizes of what its kind does not have (a control cavity in a semi-hollow) are left out.
 */
export function arrivedAnatomy({ kind, handed, strings, cover, sizes, fitted }: Arrival): Anatomy {
  const { scale, nutToMouth, bodyWidth, bodyLength } = sizes;
  const typical = startingAnatomy(kind, { scale, nutToMouth, bodyWidth, bodyLength });
  let a: Anatomy = { ...typical, handed, strings: { ...typical.strings, count: strings ?? typical.strings.count } };
  if (bodyWidth !== undefined && bodyLength !== undefined && a.body.outline) a = { ...a, body: { ...a.body, outline: { ...a.body.outline, basis: stated } } };
  const wantsRoute = cover !== null || BOX.some((side) => sizes[`route-${side}`] !== undefined) || sizes.routeDepth !== undefined;
  if (wantsRoute && !levelOf(a, ROUTE)) a = { ...a, cavities: [...a.cavities, typicalRoute(a)] };
  a = boxed(a, 'route', sizes);
  a = boxed(a, 'back', sizes);
  if (cover) {
    a = boxed({ ...a, plates: [...a.plates, typicalCover(a, cover)] }, 'cover', sizes);
    a = boxed(placePickup(a, ROUTE, COVER, PLACE, 'Bridge pickup'), 'window', sizes);
    if (fitted !== null) a = { ...a, positions: a.positions.map((p) => (p.id === PLACE ? { ...p, part: fitted } : p)) };
  }
  a = pocket(a, sizes);
  for (const key of Object.keys(sizes) as SizeKey[]) {
    const value = sizes[key];
    const target = widthOf(a, key) ? null : targetOfSize(a, key);
    if (value !== undefined && target) a = withDimension(a, target, dimension(value));
  }
  return a;
}

/** Half-way between what a bridge pickup's route is near: the bridge stands where the scale ends. */
function typicalRoute(a: Anatomy): Cavity {
  const bridge = (a.neck.scale?.value ?? 640) - (a.neck.nutToMouth?.value ?? 395);
  const made = firstFeature('pickup route', ROUTE, 'Bridge pickup route', 'top', { x: 0, y: bridge - 42 });
  if (made.kind !== 'cavity') throw new TypeError('a route is a cavity');
  return made.of;
}

/** How far a typical plate or ring reaches over the route's ends at least, mm [memory]. */
const OVERLAP = 5;

function typicalCover(a: Anatomy, cover: RouteCover): Plate {
  const b = boundsAt(a, levelOf(a, ROUTE) ?? { feature: ROUTE });
  const middle = b ? { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 } : { x: 0, y: 0 };
  const made = firstFeature(cover, COVER, COVER_NAMES[cover], 'top', middle);
  if (made.kind !== 'plate') throw new TypeError('a cover is a plate');
  const own = boxRound(made.of.outline.outline);
  if (!b || cover === 'guard') return made.of;
  const width = Math.max(own.width, b.maxX - b.minX + 2 * OVERLAP);
  const height = Math.max(own.height, b.maxY - b.minY + 2 * OVERLAP);
  return { ...made.of, outline: { ...made.of.outline, outline: roundedRectangle(width, height, own.corner, middle) } };
}

const COVER_NAMES: Readonly<Record<RouteCover, string>> = { guard: 'Guard', plate: 'Plate', ring: 'Ring' };

/** One box with the sides that were typed of it; unchanged where none was. */
function boxed(a: Anatomy, box: Boxed, sizes: SizesAtHand): Anatomy {
  const of = BOXED[box](a);
  const old = of && outlineAt(a, of.feature, of.part);
  const typed = BOX.filter((side) => sizes[`${box}-${side}`] !== undefined);
  if (!of || !old || typed.length === 0) return a;
  const is = boxRound(old.outline);
  const to = (side: BoxSide): number => sizes[`${box}-${side}`] ?? is[side];
  return hung(a, of, statedBox(to('width'), to('height'), Math.min(to('corner'), to('width') / 2, to('height') / 2), { x: to('x'), y: to('y') }));
}

/** The neck pocket with the width and length that were typed: its mouth stays where it is. */
function pocket(a: Anatomy, { pocketWidth, pocketLength }: SizesAtHand): Anatomy {
  const of = levelOf(a, 'neck pocket');
  const b = of && boundsAt(a, of);
  if (!b || (pocketWidth === undefined && pocketLength === undefined)) return a;
  const [width, length] = [pocketWidth ?? b.maxX - b.minX, pocketLength ?? b.maxY - b.minY];
  return hung(a, of, statedBox(width, length, Math.min(POCKET_CORNER, width / 2, length / 2), { x: 0, y: b.minY + length / 2 }));
}

/** The corner radius of a neck pocket, mm [memory: docs/trade/instrument.md, starting kinds]. */
const POCKET_CORNER = 3;

function statedBox(width: number, height: number, corner: number, at: { readonly x: number; readonly y: number }): FeatureOutline {
  return { outline: roundedRectangle(width, height, corner, at), limit: STATED_LIMIT, basis: stated, across: null, along: null };
}

/** The outline, and a pickup that hangs in it in its middle. */
function hung(a: Anatomy, of: { readonly feature: string; readonly part?: string }, outline: FeatureOutline): Anatomy {
  const drawn = withOutline(a, { quantity: 'checkWidthAcross', ...of }, outline);
  const { x, y } = recognise(outline.outline).at;
  return { ...drawn, positions: drawn.positions.map((p) => (of.part !== undefined && p.opening === of.part ? { ...p, at: { x, y } } : p)) };
}

/** Why sizes cannot be those of one instrument, and the size it is said beside. */
export type SizeProblem = { readonly key: SizeKey } & (
  | { readonly kind: 'routeOutsideBody' | 'coverOutsideBody' | 'windowOutsideCover' | 'backOutsideBody' }
  | { readonly kind: 'deeperThanBody'; readonly depth: number; readonly thickness: number }
  | { readonly kind: 'mouthBeyondScale'; readonly mouth: number; readonly scale: number }
  | { readonly kind: 'spreadNarrows'; readonly nut: number; readonly saddles: number }
);

/** Sizes that cannot all be true, each with the numbers that contradict one another, beside one that was typed. */
export function sizeProblems(arrival: Arrival): readonly SizeProblem[] {
  const a = arrivedAnatomy(arrival);
  const typed = (key: SizeKey, other: SizeKey): SizeKey => (arrival.sizes[key] === undefined ? other : key);
  const any = (keys: readonly SizeKey[]): boolean => keys.some((k) => arrival.sizes[k] !== undefined);
  const box = (of: Boxed): Bounds | null => {
    const at = BOXED[of](a);
    return at && boundsAt(a, at);
  };
  const body = boundsAt(a, { feature: 'body' });
  const beyond = (inner: Bounds | null, outer: Bounds | null): boolean =>
    inner !== null && outer !== null && (inner.minX < outer.minX || inner.maxX > outer.maxX || inner.minY < outer.minY || inner.maxY > outer.maxY);
  const sides = (of: Boxed): readonly SizeKey[] => BOX.map((s): SizeKey => `${of}-${s}`);
  const wide = (of: Boxed): SizeKey => sides(of).find((k) => arrival.sizes[k] !== undefined && k !== `${of}-corner`) ?? 'bodyWidth';
  const out: SizeProblem[] = [];
  const whole: readonly SizeKey[] = ['bodyWidth', 'bodyLength'];
  if (any([...sides('route'), ...whole]) && beyond(box('route'), body)) out.push({ kind: 'routeOutsideBody', key: wide('route') });
  if (any([...sides('cover'), ...whole]) && beyond(box('cover'), body)) out.push({ kind: 'coverOutsideBody', key: wide('cover') });
  if (any([...sides('back'), ...whole]) && beyond(box('back'), body)) out.push({ kind: 'backOutsideBody', key: wide('back') });
  if (any([...sides('window'), ...sides('cover')]) && beyond(box('window'), box('cover'))) out.push({ kind: 'windowOutsideCover', key: wide('window') });
  const thickness = sizeAt(a, 'thickness');
  for (const key of ['pocketDepth', 'routeDepth', 'backDepth'] as const) {
    const depth = sizeAt(a, key);
    if (any([key, 'thickness']) && depth !== null && thickness !== null && depth >= thickness)
      out.push({ kind: 'deeperThanBody', key: typed(key, 'thickness'), depth, thickness });
  }
  const [scale, mouth] = [sizeAt(a, 'scale'), sizeAt(a, 'nutToMouth')];
  if (any(['scale', 'nutToMouth']) && scale !== null && mouth !== null && mouth >= scale)
    out.push({ kind: 'mouthBeyondScale', key: typed('nutToMouth', 'scale'), mouth, scale });
  const [nut, saddles] = [sizeAt(a, 'spreadAtNut'), sizeAt(a, 'spreadAtSaddles')];
  if (any(['spreadAtNut', 'spreadAtSaddles']) && nut !== null && saddles !== null && saddles <= nut)
    out.push({ kind: 'spreadNarrows', key: typed('spreadAtSaddles', 'spreadAtNut'), nut, saddles });
  return out;
}
