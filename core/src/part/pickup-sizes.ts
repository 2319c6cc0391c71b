import type { Dimension } from '../measure/index.js';
import { bounds, moveOutline, recognise, roundedRectangle, shaped, type PlainShape } from '../shape/index.js';
import type { PartOutline } from './part-outline.js';
import { PICKUP_SIZES, type PartTier, type Pickup, type PickupSizeId } from './pickup.js';
import { SIZES } from './sizes.js';

/** What a pickup is stated by in numbers, beside its drawn outlines. Length goes across the strings. */
export const PICKUP_FIELDS = {
  coverLength: [5, 200],
  coverWidth: [3, 80],
  coverCorner: [0, 40],
  coverAbove: [0, 40],
  coverLowest: [0, 60],
  baseLength: [5, 200],
  baseWidth: [3, 80],
  baseCorner: [0, 40],
  baseLowest: [0, 60],
  earsOver: [20, 220],
  earLength: [1, 40],
  earWidth: [1, 60],
  earsLowest: [0, 60],
  screwsApart: [2, 220],
  screwDiameter: [1, 6],
  screwsLowest: [0, 60],
  poleSpacing: [5, 140],
  rowsApart: [0, 40],
  travelDown: SIZES.travelDown,
  travelUp: SIZES.travelUp,
  poleDiameter: SIZES.poleDiameter,
  coverHoleSpacing: SIZES.coverHoleSpacing,
  coverHole: SIZES.coverHole,
  leadDiameter: SIZES.leadDiameter,
} as const satisfies Readonly<Record<string, readonly [number, number]>>;
export type PickupField = keyof typeof PICKUP_FIELDS;
export const PICKUP_FIELD_IDS = Object.keys(PICKUP_FIELDS) as readonly PickupField[];

type PickupSizes = Readonly<Partial<Record<PickupField, Dimension>>>;

/** The numbers of a pickup; one that it does not have is left out. */
export function sizesOfPickup(p: Pickup): PickupSizes {
  const out: Partial<Record<PickupField, Dimension>> = { ...p.sizes };
  for (const id of ['cover', 'base'] as const) {
    const tier = p.tiers.find((l) => l.id === id);
    const [first] = tier?.shapes ?? [];
    if (!tier || !first) continue;
    const shape = recognise(first.outline);
    out[`${id}Length`] = of(first, shape.width);
    out[`${id}Width`] = of(first, heightOf(shape));
    if (shape.kind === 'rectangle') out[`${id}Corner`] = of(first, shape.corner);
    out[`${id}Lowest`] = tier.lowest;
    if (id === 'cover') out.coverAbove = { ...tier.lowest, value: Math.max(0, -tier.from) };
  }
  const ears = p.tiers.find((l) => l.id === 'ears');
  const [ear] = ears?.shapes ?? [];
  if (ears && ear) {
    const all = bounds(ears.shapes.map((s) => s.outline));
    const one = bounds([ear.outline]);
    out.earsOver = of(ear, all.maxX - all.minX);
    out.earLength = of(ear, one.maxX - one.minX);
    out.earWidth = of(ear, one.maxY - one.minY);
    out.earsLowest = ears.lowest;
  }
  const xs = p.screws.at.map((s) => s.x);
  if (xs.length > 1) out.screwsApart = { ...p.screws.lowest, value: Math.max(...xs) - Math.min(...xs) };
  out.screwDiameter = { ...p.screws.lowest, value: p.screws.diameter };
  out.screwsLowest = p.screws.lowest;
  out.poleSpacing = p.poles.spacing;
  if (p.poles.rows.length > 1) out.rowsApart = { ...p.poles.spacing, value: Math.max(...p.poles.rows) - Math.min(...p.poles.rows) };
  return out;
}

function of(o: PartOutline, value: number): Dimension {
  return { value, limit: o.limit, basis: o.basis };
}

function heightOf(shape: PlainShape): number {
  return shape.kind === 'circle' ? shape.width : shape.height;
}

/** A pickup with some of its numbers stated anew; an outline that is redrawn is as sure as what was stated of it. null takes away what may be missing. */
export function pickupWithSizes(p: Pickup, given: Readonly<Partial<Record<PickupField, Dimension | null>>>): Pickup {
  const tiers = p.tiers.map((l) => (l.id === 'ears' ? earsWith(l, given) : bodyWith(l, l.id, given)));
  const { screwsApart: apart, screwDiameter: thick, screwsLowest: lowest, poleSpacing: spacing, rowsApart } = given;
  const half = apart ? apart.value / 2 : null;
  const sizes = Object.fromEntries(
    PICKUP_SIZES.flatMap((id): readonly (readonly [PickupSizeId, Dimension])[] => {
      const d = given[id] === undefined ? p.sizes?.[id] : given[id];
      return d ? [[id, d]] : [];
    }),
  );
  return {
    ...p,
    tiers,
    screws: {
      at: half === null ? p.screws.at : p.screws.at.map((s) => (s.x === 0 ? s : { ...s, x: Math.sign(s.x) * half })),
      diameter: thick ? thick.value : p.screws.diameter,
      lowest: lowest ?? p.screws.lowest,
    },
    poles: {
      spacing: spacing ?? p.poles.spacing,
      rows: rowsApart ? p.poles.rows.map((r) => (r === 0 ? 0 : (Math.sign(r) * rowsApart.value) / 2)) : p.poles.rows,
    },
    sizes,
  };
}

function bodyWith(l: PartTier, id: 'cover' | 'base', given: Readonly<Partial<Record<PickupField, Dimension | null>>>): PartTier {
  const [length, width, corner, lowest] = [given[`${id}Length`], given[`${id}Width`], given[`${id}Corner`], given[`${id}Lowest`]];
  const above = id === 'cover' ? given.coverAbove : null;
  const surest = length ?? width ?? corner;
  const shapes = surest
    ? l.shapes.map((s) => {
        const shape = recognise(s.outline);
        const next = resized(shape, length?.value ?? shape.width, width?.value ?? heightOf(shape), corner?.value ?? null);
        return { outline: shaped(next, s.outline), limit: surest.limit, basis: surest.basis };
      })
    : l.shapes;
  return { ...l, shapes, lowest: lowest ?? l.lowest, from: above ? -above.value : l.from };
}

function resized(s: PlainShape, width: number, height: number, corner: number | null): PlainShape {
  if (s.kind === 'rectangle') return { ...s, width, height, corner: corner ?? s.corner };
  return s.kind === 'circle' ? { ...s, width } : { ...s, width, height };
}

function earsWith(l: PartTier, given: Readonly<Partial<Record<PickupField, Dimension | null>>>): PartTier {
  const { earsOver, earLength, earWidth, earsLowest } = given;
  const surest = earsOver ?? earLength ?? earWidth;
  if (!surest) return { ...l, lowest: earsLowest ?? l.lowest };
  const all = bounds(l.shapes.map((s) => s.outline));
  const over = earsOver?.value ?? all.maxX - all.minX;
  const shapes = l.shapes.map((s) => {
    const b = bounds([s.outline]);
    const shape = recognise(s.outline);
    const [w, h] = [earLength?.value ?? b.maxX - b.minX, earWidth?.value ?? b.maxY - b.minY];
    const side = Math.sign((b.minX + b.maxX) / 2);
    const drawn =
      shape.kind === 'rectangle'
        ? roundedRectangle(w, h, shape.corner)
        : moveOutline(shaped({ ...shape, width: w, ...(shape.kind === 'other' ? { height: h } : {}) }, s.outline), -shape.at.x, -shape.at.y);
    return { outline: moveOutline(drawn, side * (over / 2 - w / 2), (b.minY + b.maxY) / 2), limit: surest.limit, basis: surest.basis };
  });
  return { ...l, shapes, lowest: earsLowest ?? l.lowest };
}
