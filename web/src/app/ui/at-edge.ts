import type { Point } from '@rinnovo/core/shape';
import type { Frame } from './drawing';

/** A point outside of what is seen: where at the edge it is told of, and which way it lies, degrees clockwise from the right. */
export interface AtEdge extends Point {
  readonly way: number;
}

/** The window grown to the sheet's own proportions: what is really seen of a drawing that lies whole and in the middle of its sheet. */
export function seenWhole({ x, y, width, height }: Frame, aspect: number): Frame {
  if (!Number.isFinite(aspect) || aspect <= 0) return { x, y, width, height };
  const [w, h] = [Math.max(width, height * aspect), Math.max(height, width / aspect)];
  return { x: x - (w - width) / 2, y: y - (h - height) / 2, width: w, height: h };
}

/** Where at the edge of a window a point outside of it is told of, `inset` mm inside; null while it is seen. */
export function atEdge(p: Point, w: Frame, inset: number): AtEdge | null {
  if (p.x >= w.x && p.x <= w.x + w.width && p.y >= w.y && p.y <= w.y + w.height) return null;
  const within = (n: number, from: number, size: number): number => Math.min(Math.max(n, from + inset), from + Math.max(inset, size - inset));
  const [x, y] = [within(p.x, w.x, w.width), within(p.y, w.y, w.height)];
  return { x, y, way: (Math.atan2(p.y - y, p.x - x) * 180) / Math.PI };
}
