import { boundsOf, edgeAt, featureOf, type Anatomy, type Edge } from '@rinnovo/core/instrument';
import { frameOfAnatomy, type DrawnPath } from '../../ui/drawing';

/** An edge to measure from, as a short line on the drawing; none while nothing is chosen. */
export function edgeLine(a: Anatomy, edge: Edge, axis: 'across' | 'along', title: string): readonly DrawnPath[] {
  try {
    const at = edgeAt(a, edge, axis);
    const f = featureOf(a, edge.of);
    const b = f ? boundsOf(a, f) : frameOfAnatomy(a);
    const [low, high] =
      'minX' in b
        ? axis === 'across'
          ? [b.minY - 6, b.maxY + 6]
          : [b.minX - 6, b.maxX + 6]
        : axis === 'across'
          ? [b.y, b.y + b.height]
          : [b.x, b.x + b.width];
    const d = axis === 'across' ? `M${at} ${low}V${high}` : `M${low} ${at}H${high}`;
    return [{ id: `edge ${title}`, kind: 'edge', d, title }];
  } catch {
    return [];
  }
}
