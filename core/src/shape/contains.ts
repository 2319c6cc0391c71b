import { bounds } from './measures.js';
import { segmentsOf, type Outline, type Point } from './outline.js';

/** Is the point inside the outline? By winding; arcs count exactly. A point on the edge may fall either way. */
export function containsPoint(outline: Outline, p: Point): boolean {
  const box = bounds([outline]);
  if (p.x < box.minX || p.x > box.maxX || p.y < box.minY || p.y > box.maxY) return false;
  let winding = 0;
  for (const s of segmentsOf(outline)) {
    const ax = s.from.x - p.x;
    const ay = s.from.y - p.y;
    const bx = s.to.x - p.x;
    const by = s.to.y - p.y;
    const cross = ax * by - bx * ay;
    if (ay <= 0 ? by > 0 && cross > 0 : by <= 0 && cross < 0) winding += ay <= 0 ? 1 : -1;
    if (s.kind === 'arc') {
      const [cx, cy] = [p.x - s.centre.x, p.y - s.centre.y];
      const inDisc = cx * cx + cy * cy < s.radius * s.radius;
      const way = Math.sign(s.sweep);
      if (inDisc && way * sideOfChord(cross, bx - ax, by - ay) < 0) winding += way;
    }
  }
  return winding !== 0;
}

/** Is the point inside any of the outlines? */
export function regionContains(region: readonly Outline[], p: Point): boolean {
  return region.some((o) => containsPoint(o, p));
}

/** Which side of its chord a point is on. One on the chord counts as a hair further in x, then in y, as the chords' own rule has it. */
function sideOfChord(cross: number, dx: number, dy: number): number {
  if (cross !== 0) return cross;
  return dy !== 0 ? -dy : dx;
}
