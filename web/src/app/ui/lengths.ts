import type { Point } from '@rinnovo/core/shape';
import { fixed } from '@rinnovo/words';
import type { Span } from './close-up';

/** A length as it is drawn: its line with both ends, and its number in the middle. */
export interface DrawnSpan extends Point {
  readonly d: string;
  readonly text: string;
}

/** A length with its ends square to it; `size` is that of a mark, mm. */
export function drawnSpan(s: Span, size: number): DrawnSpan {
  const far = Math.hypot(s.to.x - s.from.x, s.to.y - s.from.y) || 1;
  const [nx, ny] = [(-(s.to.y - s.from.y) / far) * size * 0.7, ((s.to.x - s.from.x) / far) * size * 0.7];
  const end = (p: Point): string => `M${p.x - nx} ${p.y - ny}L${p.x + nx} ${p.y + ny}`;
  return {
    d: `${end(s.from)}M${s.from.x} ${s.from.y}L${s.to.x} ${s.to.y}${end(s.to)}`,
    x: (s.from.x + s.to.x) / 2,
    y: (s.from.y + s.to.y) / 2,
    text: fixed(s.mm, 2),
  };
}

/** What lies between two places that were clicked, mm. */
export interface Measured {
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  readonly across: number;
  readonly along: number;
}

/** The length between two places; null until both are there. `side` is −1 on a drawing seen mirrored. */
export function measuredBetween([from, to]: readonly Point[], side: 1 | -1): Measured | null {
  if (!from || !to) return null;
  const [across, along] = [side * (to.x - from.x), to.y - from.y];
  return { from, to, length: Math.hypot(across, along), across, along };
}
