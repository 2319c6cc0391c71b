import type { Verdict } from '@rinnovo/core/check';
import { leavesOf, type GeometryNode, type Working } from '@rinnovo/core/measure';
import { pointToSegment, regionBoundary, type Point, type Region } from '@rinnovo/core/shape';
import type { Frame } from './drawing';

/** A length to be drawn with its ends, mm. */
export interface Span {
  readonly from: Point;
  readonly to: Point;
  readonly mm: number;
}

/** The lengths that a verdict compares, where they are on the drawing: the way from its worst point to the other edge, or a hole and what goes through it. */
export function spansOf(v: Verdict): readonly Span[] {
  if (!v.at || !v.working) return [];
  const drawn = geometryOf(v.working);
  if (drawn) {
    const to = nearestOn(drawn.b as Region, v.at);
    return to ? [{ from: v.at, to, mm: Math.hypot(to.x - v.at.x, to.y - v.at.y) }] : [];
  }
  const leaves = leavesOf(v.working);
  const hole = leaves.find((l) => l.label === 'holeDiameter');
  const through = leaves.find((l) => ACROSS.has(l.label));
  if (!hole || !through) return [];
  const widest = Math.max(hole.value, through.value);
  const across = (mm: number, y: number): Span => ({ from: { x: (v.at?.x ?? 0) - mm / 2, y }, to: { x: (v.at?.x ?? 0) + mm / 2, y }, mm });
  return [across(hole.value, v.at.y - widest / 2 - APART), across(through.value, v.at.y + widest / 2 + APART)];
}

/** What is laid across a hole: the part's sizes that are diameters. */
const ACROSS: ReadonlySet<string> = new Set(['part bushing', 'part outer', 'part washer', 'part knob', 'part flange', 'part diameter']);
/** How far a length is drawn from what it measures, mm. */
const APART = 2;

function geometryOf(w: Working): GeometryNode | null {
  return w.op === 'geometry' ? w : null;
}

function nearestOn(region: Region, p: Point): Point | null {
  return (
    regionBoundary(region).reduce<{ readonly at: Point; readonly far: number } | null>((near, s) => {
      const { distance, b } = pointToSegment(p, s);
      return near && near.far <= distance ? near : { at: b, far: distance };
    }, null)?.at ?? null
  );
}

/** The rectangle that shows some lengths large. */
export function frameOfSpans(spans: readonly Span[]): Frame | null {
  const points = spans.flatMap((s) => [s.from, s.to]);
  if (points.length === 0) return null;
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  const [x, y] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  const half = Math.max(ROOM, ...spans.map((s) => s.mm));
  return { x: x - half, y: y - half, width: 2 * half, height: 2 * half };
}

/** Least room round a close-up, mm. */
const ROOM = 7;
