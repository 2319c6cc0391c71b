import type { VerdictClass } from '@rinnovo/core/measure';
import type { Point } from '@rinnovo/core/shape';

/** The verdicts' signs as steps from the middle of a circle of radius 1; arcs are stated by their radius. */
const SIGNS: Readonly<Record<VerdictClass, readonly (readonly [command: string, ...numbers: readonly number[]])[]>> = {
  clashes: [
    ['m', -0.45, -0.45],
    ['l', 0.9, 0.9],
    ['m', 0, -0.9],
    ['l', -0.9, 0.9],
  ],
  tooClose: [['m', 0, -0.6], ['l', 0.6, 0.6], ['l', -0.6, 0.6], ['l', -0.6, -0.6], ['z']],
  thin: [['m', 0, -0.65], ['a', 0.65, 0, 0, 0, 0, 1.3], ['z']],
  well: [['m', -0.3, 0], ['a', 0.3, 0, 0, 1, 0.6, 0], ['a', 0.3, 0, 0, 1, -0.6, 0], ['z']],
  notMeasured: [
    ['m', -0.3, -0.25],
    ['a', 0.3, 0, 1, 1, 0.3, 0.3],
    ['l', 0, 0.2],
    ['m', 0, 0.25],
    ['l', 0, 0.05],
  ],
};

/**
 * A verdict's sign as path data where it stands on the drawing, in a circle of radius r, mm.
 * A shape and not text, and placed by its numbers and not by a transform: a moving mark costs no layout of its own.
 */
export function signPath(kind: VerdictClass, at: Point, r: number): string {
  const sized = (n: number): number => Math.round(n * r * 1000) / 1000;
  const steps = SIGNS[kind].map(([command, ...numbers]) => {
    if (command !== 'a') return command + numbers.map(sized).join(' ');
    const [radius = 0, turn = 0, large = 0, sweep = 0, x = 0, y = 0] = numbers;
    return `a${sized(radius)} ${sized(radius)} ${turn} ${large} ${sweep} ${sized(x)} ${sized(y)}`;
  });
  return `M${at.x} ${at.y}${steps.join('')}`;
}
