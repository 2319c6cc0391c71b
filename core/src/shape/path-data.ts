import { bounds } from './measures.js';
import { segmentsOf, type Outline } from './outline.js';

/** An outline as SVG path data in mm: lines and arcs, closed. The drawing's y runs towards the bridge, as the frames' does. */
export function pathData(outline: Outline): string {
  const n = (v: number): string => String(Math.round(v * 1e4) / 1e4);
  const segments = segmentsOf(outline);
  const first = segments[0];
  if (!first) return '';
  const moves = segments.map((s) => {
    if (s.kind === 'line') return `L${n(s.to.x)} ${n(s.to.y)}`;
    return `A${n(s.radius)} ${n(s.radius)} 0 ${Math.abs(s.sweep) > Math.PI ? 1 : 0} ${s.sweep > 0 ? 1 : 0} ${n(s.to.x)} ${n(s.to.y)}`;
  });
  return `M${n(first.from.x)} ${n(first.from.y)}${moves.join('')}Z`;
}

/** A viewBox in mm round outlines with a margin. */
export function viewBoxOf(outlines: readonly Outline[], margin: number): string {
  const b = bounds(outlines);
  return [b.minX - margin, b.minY - margin, b.maxX - b.minX + 2 * margin, b.maxY - b.minY + 2 * margin].map((v) => Math.round(v * 100) / 100).join(' ');
}
