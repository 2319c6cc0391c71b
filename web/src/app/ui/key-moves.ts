import type { Placement, Point } from '@rinnovo/core/shape';
import { hundredth } from './hand';

/** What an arrow key moves by, mm: alone, with Shift, with Ctrl. */
const STEPS = { fine: 0.1, coarse: 1, far: 5 } as const;
/** What Page Up and Page Down turn by, degrees: alone, with Shift. */
const TURNS = { fine: 0.1, coarse: 1 } as const;

const WAYS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** Which way an arrow key goes on the drawing as it is seen; null for other keys. */
export function wayOf(event: KeyboardEvent): Point | null {
  return WAYS[event.key] ?? null;
}

/** Where an arrow key brings the layer; `side` is −1 on a drawing seen mirrored. */
export function steppedTo(at: Placement, way: Point, event: KeyboardEvent, side: 1 | -1): Placement {
  const step = event.ctrlKey || event.metaKey ? STEPS.far : event.shiftKey ? STEPS.coarse : STEPS.fine;
  return { ...at, x: hundredth(at.x + side * way.x * step), y: hundredth(at.y + way.y * step) };
}

/** What a key turns the layer by, degrees as it is seen; 0 for other keys. */
export function turnOf(event: KeyboardEvent): number {
  if (event.key !== 'PageUp' && event.key !== 'PageDown') return 0;
  return (event.key === 'PageUp' ? -1 : 1) * (event.shiftKey ? TURNS.coarse : TURNS.fine);
}
