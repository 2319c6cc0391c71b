import { placePoint, recognise, shaped, type PlainShape, type Point } from '../shape/index.js';
import type { Anatomy, FeatureOutline } from './anatomy.js';
import { featureOf, outlineOf, type Feature } from './feature.js';
import { placementOf } from './frame.js';

/** A place on a feature's box that a hand can pull: which side across and along, −1 low, 0 middle, 1 high. */
export interface Handle {
  readonly across: -1 | 0 | 1;
  readonly along: -1 | 0 | 1;
  /** In the body's frame, mm. */
  readonly at: Point;
}

const SIDES = [-1, 0, 1] as const;

/** Smaller than this nothing is pulled, mm. */
const LEAST = 0.5;

/** Where a feature can be pulled: eight places round its first outline, of a circle and a hole one at its side; none where a tool read the size. */
export function handlesOf(a: Anatomy, id: string): readonly Handle[] {
  const f = featureOf(a, id);
  const shape = f && shapeOf(f);
  if (!shape) return [];
  const frame = placementOf(a, f.of.frame);
  const handle = (across: Handle['across'], along: Handle['along']): Handle => {
    const own = { x: shape.at.x + (across * shape.width) / 2, y: shape.at.y + (along * heightOf(shape)) / 2 };
    return { across, along, at: placePoint(own, frame) };
  };
  if (shape.kind === 'circle') return [handle(1, 0)];
  return SIDES.flatMap((across) => SIDES.filter((along) => across !== 0 || along !== 0).map((along) => handle(across, along)));
}

/**
 * A feature with one of its handles at another place of the body's frame; the opposite side stays, a hole keeps its middle.
 * Sizes by hand are stated, not measured: check widths of the old outline no longer count. Throws RangeError when there is nothing of that id.
 */
export function stretchFeature(a: Anatomy, id: string, handle: Pick<Handle, 'across' | 'along'>, to: Point): Anatomy {
  const f = featureOf(a, id);
  if (!f) throw new RangeError(`nothing here is called ${id}`);
  const shape = shapeOf(f);
  if (!shape) return a;
  const frame = placementOf(a, f.of.frame);
  const own = placePoint({ x: to.x - frame.x, y: to.y - frame.y }, { x: 0, y: 0, turn: -frame.turn });
  if (f.kind === 'hole') {
    const value = Math.max(LEAST, hundredth(2 * Math.hypot(own.x - f.of.at.x, own.y - f.of.at.y)));
    const diameter = { value, limit: f.of.diameter?.limit ?? LEAST, basis: { kind: 'stated' as const } };
    return { ...a, holes: a.holes.map((h) => (h.id === id ? { ...h, diameter } : h)) };
  }
  const stated = (o: FeatureOutline): FeatureOutline => ({
    ...o,
    outline: shaped(pulled(shape, handle, own), o.outline),
    basis: { kind: 'stated' },
    across: null,
    along: null,
  });
  return {
    ...a,
    cavities: a.cavities.map((c) => (c.id === id ? { ...c, levels: c.levels.map((p, i) => (i === 0 ? { ...p, outline: stated(p.outline) } : p)) } : c)),
    plates: a.plates.map((p) => (p.id === id ? { ...p, outline: stated(p.outline) } : p)),
  };
}

/** The shape by which a feature is pulled; a hole as a circle, unless a tool read its diameter. */
function shapeOf(f: Feature): PlainShape | null {
  if (f.kind === 'hole') {
    const d = f.of.diameter;
    return d && d.basis.kind !== 'readings' ? { kind: 'circle', at: f.of.at, width: d.value } : null;
  }
  const o = outlineOf(f);
  return o && recognise(o.outline);
}

function heightOf(s: PlainShape): number {
  return s.kind === 'circle' ? s.width : s.height;
}

function pulled(s: PlainShape, { across, along }: Pick<Handle, 'across' | 'along'>, to: Point): PlainShape {
  const [x, width] = side(s.at.x, s.width, across, to.x);
  if (s.kind === 'circle') return { ...s, at: { x, y: s.at.y }, width };
  const [y, height] = side(s.at.y, s.height, along, to.y);
  const at = { x, y };
  return s.kind === 'rectangle' ? { ...s, at, width, height, corner: Math.min(s.corner, width / 2, height / 2) } : { ...s, at, width, height };
}

/** Middle and size along one axis when one side goes to a place and the other stays. */
function side(middle: number, size: number, which: -1 | 0 | 1, to: number): readonly [number, number] {
  if (which === 0) return [middle, size];
  const stays = middle - (which * size) / 2;
  const now = Math.max(LEAST, hundredth(which * (to - stays)));
  return [stays + (which * now) / 2, now];
}

/** Sizes by hand are kept to 0.01 mm. */
function hundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}
