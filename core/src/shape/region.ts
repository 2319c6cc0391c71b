import { containsPoint, regionContains } from './contains.js';
import { intersections } from './intersections.js';
import { arcHolds, length, pointAt, segmentsOf, type Outline, type Point, type Segment } from './outline.js';
import { pointToSegment } from './distance.js';
import { bounds, type Bounds } from './measures.js';
import { distanceToEdge, nearSegments } from './nearest.js';
import { POINT } from './tolerance.js';
import { originOf, placeSegment, type Placement } from './transform.js';

/** Several outlines taken together; they may overlap. */
export type Region = readonly Outline[];

const cache = new WeakMap<Region, readonly Segment[]>();

/**
 * The outer and inner edges of all outlines together: the pieces of each that lie in no other. Exact, unordered; computed once for each region.
 * Outlines that were placed together are joined once in their own frame, wherever they are moved to.
 */
export function regionBoundary(region: Region): readonly Segment[] {
  const only = region[0];
  if (region.length === 1 && only) return segmentsOf(only);
  let edge = cache.get(region);
  if (!edge) {
    edge = joinGroups(groupsOf(region));
    cache.set(region, edge);
  }
  return edge;
}

/** Outlines that move as one, with their common edge. */
interface Group {
  readonly outlines: Region;
  readonly edge: readonly Segment[];
}

function groupsOf(region: Region): readonly Group[] {
  const byPlace = new Map<Placement | null, Outline[]>();
  for (const o of region) {
    const at = originOf(o)?.at ?? null;
    const list = byPlace.get(at);
    if (list) list.push(o);
    else byPlace.set(at, [o]);
  }
  return [...byPlace].map(([at, outlines]) => {
    if (at === null) return { outlines, edge: ownEdge(outlines) };
    const local = outlines.map((o) => originOf(o)?.outline ?? o);
    return { outlines, edge: ownEdge(local).map((s) => placeSegment(s, at)) };
  });
}

const joined = new WeakMap<Outline, { readonly outlines: Region; readonly edge: readonly Segment[] }[]>();

/** The common edge of outlines in one frame; the same outlines give the same edge again. */
function ownEdge(outlines: Region): readonly Segment[] {
  const first = outlines[0];
  if (!first) return [];
  if (outlines.length === 1) return segmentsOf(first);
  let known = joined.get(first);
  if (!known) joined.set(first, (known = []));
  const same = known.find((k) => k.outlines.length === outlines.length && k.outlines.every((o, i) => o === outlines[i]));
  if (same) return same.edge;
  const edge = outlines.flatMap((o, i) => edgeOf(o, i, outlines));
  known.push({ outlines: [...outlines], edge });
  return edge;
}

/** The edges of several groups together: of each what lies in no other; where two run along one another, the earlier keeps it. */
function joinGroups(groups: readonly Group[]): readonly Segment[] {
  if (groups.length === 1) return groups[0]?.edge ?? [];
  return groups.flatMap((g, i) => outside(g, i, groups));
}

function outside(own: Group, index: number, groups: readonly Group[]): readonly Segment[] {
  const all = groups.filter((g) => g !== own);
  const isHidden = (p: Point, others: readonly Group[]): boolean => others.some((g) => hides(g, groups.indexOf(g) < index, own, p));
  const out: Segment[] = [];
  // where the last segment ended, which met no other edge, and whether it was hidden: one that goes on from there and meets none either is as it was
  let end: Point | null = null;
  let hidden = false;
  for (const s of own.edge) {
    const middle = pointAt(s, 0.5);
    const reach = length(s) / 2 + POINT;
    if (all.every((g) => distanceToEdge(g.edge, middle) > reach)) {
      if (end?.x !== s.from.x || end.y !== s.from.y) hidden = isHidden(middle, all);
      if (!hidden) out.push(s);
      end = s.to;
      continue;
    }
    end = null;
    const cuts = all.flatMap((g) => nearSegments(s, g.edge).flatMap((t) => [...intersections(s, t), ...touching(s, t)]));
    for (const { piece, middle: p } of cutAt(s, cuts)) if (!isHidden(p, all)) out.push(piece);
  }
  return out;
}

/** Does another group hide a point of this edge? On the other's edge it does where they lie on different sides of it, and an earlier one where both lie on one. */
function hides(g: Group, earlier: boolean, own: Group, p: Point): boolean {
  if (distanceToEdge(g.edge, p) >= POINT) return regionContains(g.outlines, p);
  return earlier || !sameSide(g.outlines, own.outlines, p);
}

function edgeOf(outline: Outline, index: number, region: Region): Segment[] {
  const others = region.filter((_, i) => i !== index);
  const box = bounds([outline]);
  const near = others.filter((o) => boxesMeet(box, bounds([o])));
  if (near.length === 0) return [...segmentsOf(outline)];
  return segmentsOf(outline).flatMap((s) => {
    const cuts = near.flatMap((o) => nearSegments(s, segmentsOf(o)).flatMap((t) => [...intersections(s, t), ...touching(s, t)]));
    return cutAt(s, cuts)
      .filter(
        ({ middle }) => !near.some((o) => (onEdge(o, middle) ? region.indexOf(o) < index || !sameSide([o], [outline], middle) : containsPoint(o, middle))),
      )
      .map(({ piece }) => piece);
  });
}

/** Do two boxes meet, touching within POINT included? */
function boxesMeet(a: Bounds, b: Bounds): boolean {
  return a.minX <= b.maxX + POINT && b.minX <= a.maxX + POINT && a.minY <= b.maxY + POINT && b.minY <= a.maxY + POINT;
}

/** A segment cut at points that lie on it, each piece with its middle. */
export function cutAt(s: Segment, points: readonly Point[]): readonly { readonly piece: Segment; readonly middle: Point }[] {
  if (points.length === 0) return [{ piece: s, middle: pointAt(s, 0.5) }];
  const shares = points.map((p) => shareAt(s, p)).filter((t) => t > 1e-9 && t < 1 - 1e-9);
  const stops = [0, ...shares.sort((a, b) => a - b), 1];
  const out: { piece: Segment; middle: Point }[] = [];
  for (let i = 0; i + 1 < stops.length; i++) {
    const [from, to] = [stops[i] ?? 0, stops[i + 1] ?? 1];
    if ((to - from) * length(s) < POINT) continue;
    out.push({ piece: part(s, from, to), middle: pointAt(s, (from + to) / 2) });
  }
  return out;
}

/** Ends of one segment that lie on the other: where two edges run along one another. */
function touching(s: Segment, t: Segment): Point[] {
  return [t.from, t.to].filter((p) => pointToSegment(p, s).distance < POINT);
}

function onEdge(o: Outline, p: Point): boolean {
  return distanceToEdge(segmentsOf(o), p) < POINT;
}

/** Two regions that share an edge: do both lie on the same side of it? Then one of the two edges is enough; otherwise there is no edge at all. */
function sameSide(a: Region, b: Region, p: Point): boolean {
  const step = 1e-4;
  for (const [dx, dy] of [
    [step, 0],
    [0, step],
    [-step, 0],
    [0, -step],
  ] as const) {
    const q = { x: p.x + dx, y: p.y + dy };
    if (regionContains(a, q) !== regionContains(b, q)) return false;
  }
  return true;
}

function shareAt(s: Segment, p: Point): number {
  if (s.kind === 'line') {
    const dx = s.to.x - s.from.x;
    const dy = s.to.y - s.from.y;
    return ((p.x - s.from.x) * dx + (p.y - s.from.y) * dy) / (dx * dx + dy * dy);
  }
  const angle = Math.atan2(p.y - s.centre.y, p.x - s.centre.x);
  if (!arcHolds(s, angle)) return -1;
  const way = Math.sign(s.sweep);
  const turned = (((way * (angle - s.start)) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  return turned / Math.abs(s.sweep);
}

function part(s: Segment, from: number, to: number): Segment {
  if (from === 0 && to === 1) return s;
  const a = pointAt(s, from);
  const b = pointAt(s, to);
  return s.kind === 'line' ? { kind: 'line', from: a, to: b } : { ...s, from: a, to: b, start: s.start + from * s.sweep, sweep: (to - from) * s.sweep };
}
