import type { Point } from '@rinnovo/core/shape';
import type { Frame } from './drawing';

/** The narrowest and widest part of the drawing that is shown, mm. */
const NARROWEST = 8;
const WIDEST = 2000;

/** A window made wider or narrower by a factor, with one of its points brought to where another was: what lay under the fingers stays there. */
export function zoomed(f: Frame, factor: number, point: Point, onto: Point = point): Frame {
  const width = Math.min(WIDEST, Math.max(NARROWEST, f.width * factor));
  const k = width / f.width;
  return { x: point.x + k * (f.x - onto.x), y: point.y + k * (f.y - onto.y), width, height: f.height * k };
}

/** Two fingers: the middle between them and how far they are apart. */
export function fingers(a: Point, b: Point): { readonly middle: Point; readonly apart: number } {
  return { middle: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, apart: Math.max(1, Math.hypot(a.x - b.x, a.y - b.y)) };
}
