import { segmentsOf, type Outline, type Point } from './outline.js';
import { FLATTEN } from './tolerance.js';

/** An outline as straight pieces, no chord further than `tolerance` from its arc, mm. */
export function flatten(outline: Outline, tolerance = FLATTEN): readonly Point[] {
  const points: Point[] = [];
  for (const s of segmentsOf(outline)) {
    points.push(s.from);
    if (s.kind === 'line') continue;
    const step = 2 * Math.acos(Math.max(0, 1 - tolerance / s.radius));
    const n = Math.max(1, Math.ceil(Math.abs(s.sweep) / step));
    for (let i = 1; i < n; i++) {
      const a = s.start + (i / n) * s.sweep;
      points.push({ x: s.centre.x + s.radius * Math.cos(a), y: s.centre.y + s.radius * Math.sin(a) });
    }
  }
  return points;
}
