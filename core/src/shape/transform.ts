import type { Outline, Point, Segment } from './outline.js';

/** Where something lies: its origin and its turn in degrees; a positive turn takes x towards y. */
export interface Placement extends Point {
  readonly turn: number;
}

export function placePoint(p: Point, at: Placement): Point {
  if (at.turn === 0) return { x: p.x + at.x, y: p.y + at.y };
  const a = (at.turn * Math.PI) / 180;
  const [c, s] = [Math.cos(a), Math.sin(a)];
  return { x: at.x + p.x * c - p.y * s, y: at.y + p.x * s + p.y * c };
}

/** An outline turned about its origin, then moved. */
export function placeOutline(outline: Outline, at: Placement): Outline {
  if (at.x === 0 && at.y === 0 && at.turn === 0) return outline;
  const a = (at.turn * Math.PI) / 180;
  const [c, s] = at.turn === 0 ? [1, 0] : [Math.cos(a), Math.sin(a)];
  const placed: Outline = { vertices: outline.vertices.map((v) => ({ x: at.x + v.x * c - v.y * s, y: at.y + v.x * s + v.y * c, bulge: v.bulge })) };
  origins.set(placed, { outline, at });
  return placed;
}

/** What an outline was placed from. */
export interface Origin {
  readonly outline: Outline;
  readonly at: Placement;
}

const origins = new WeakMap<Outline, Origin>();

/** The outline and the place from which an outline came; undefined for one that was drawn where it is. */
export function originOf(outline: Outline): Origin | undefined {
  return origins.get(outline);
}

/** A line or arc turned about the origin, then moved. */
export function placeSegment(seg: Segment, at: Placement): Segment {
  const from = placePoint(seg.from, at);
  const to = placePoint(seg.to, at);
  if (seg.kind === 'line') return { kind: 'line', from, to };
  return { ...seg, from, to, centre: placePoint(seg.centre, at), start: seg.start + (at.turn * Math.PI) / 180 };
}

/** An outline made larger or smaller about the origin; arcs stay arcs. */
export function scaleOutline(outline: Outline, factor: number): Outline {
  return factor === 1 ? outline : { vertices: outline.vertices.map((v) => ({ x: v.x * factor, y: v.y * factor, bulge: v.bulge })) };
}

export function moveOutline(outline: Outline, dx: number, dy: number): Outline {
  return placeOutline(outline, { x: dx, y: dy, turn: 0 });
}

/** Mirrored in the centre line: what is seen through the body from the back. */
export function mirrorOutline(outline: Outline): Outline {
  return { vertices: outline.vertices.map((v) => ({ x: -v.x, y: v.y, bulge: -v.bulge })) };
}
