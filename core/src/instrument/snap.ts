import type { Point } from '../shape/index.js';
import type { Anatomy, Edge, HoleFace } from './anatomy.js';
import { DATUMS } from './anatomy.js';
import { boundsOf, featureOf, featuresOf } from './feature.js';
import { edgeAt, type Axis } from './solve-positions.js';

/** Lines to which a feature snaps, in the body's frame, mm: across those of one x, along those of one y. */
export interface SnapLines {
  readonly across: readonly number[];
  readonly along: readonly number[];
}

/** What snapping adds to a place, and the line that was met, mm. */
export interface Snapped {
  readonly by: number;
  readonly line: number | null;
}

/** The centre line, the pocket's mouth, the bridge line, and the edges and middles of every other feature of a face. */
export function snapLines(a: Anatomy, face: HoleFace, except: string): SnapLines {
  const boxes = featuresOf(a)
    .filter((f) => f.id !== except && f.of.face === face)
    .map((f) => boundsOf(a, f));
  const { scale, nutToMouth } = a.neck;
  const bridge = scale && nutToMouth ? [scale.value - nutToMouth.value] : [];
  return {
    across: [0, ...boxes.flatMap((b) => [b.minX, (b.minX + b.maxX) / 2, b.maxX])],
    along: [0, ...bridge, ...boxes.flatMap((b) => [b.minY, (b.minY + b.maxY) / 2, b.maxY])],
  };
}

/** The least move that brings one of several edges onto a line, within a reach, mm; of equals the first line. */
export function snap(edges: readonly number[], lines: readonly number[], reach: number): Snapped {
  let best: Snapped = { by: 0, line: null };
  let least = reach;
  for (const line of lines) {
    for (const edge of edges) {
      if (Math.abs(line - edge) < least) [best, least] = [{ by: line - edge, line }, Math.abs(line - edge)];
    }
  }
  return best;
}

/** The edge that a finger on the drawing means: the nearest side of the feature, or without one the nearest datum of that axis. */
export function edgeNear(a: Anatomy, feature: string | null, axis: Axis, at: Point): Edge {
  const here = axis === 'across' ? at.x : at.y;
  const sides = ['low', 'middle', 'high'] as const;
  const edges: readonly Edge[] =
    feature !== null && featureOf(a, feature)
      ? sides.map((side) => ({ of: feature, side }))
      : DATUMS.filter((d) => (d === 'centre line') === (axis === 'across') && (d !== 'nut' || a.neck.nutToMouth !== null)).map((of) => ({
          of,
          side: 'middle' as const,
        }));
  const far = (e: Edge): number => Math.abs(edgeAt(a, e, axis) - here);
  return edges.reduce((n, e) => (far(e) < far(n) ? e : n));
}
