import type { Point } from '../shape/index.js';
import type { Neck } from './anatomy.js';

/** From the nut (or the crown of a zero fret) to a fret, mm: S (1 − 2^(−n/12)) [law]. 635 mm, 12th: 317.5. */
export function fretDistance(scale: number, fret: number): number {
  return scale * shareOfScale(fret);
}

/** How much of its scale a string has gone at a fret: 1 − 2^(−n/12) [law]; the 12th: 0.5. */
export function shareOfScale(fret: number): number {
  return 1 - Math.pow(2, -fret / 12);
}

/** The scale length that two frets give, free of where the nut sits: (d13 − d1) / 0.47194 [law]. */
export function scaleFromFrets(first: number, thirteenth: number): number {
  return (thirteenth - first) / (Math.pow(2, -1 / 12) - Math.pow(2, -13 / 12));
}

/** A fret across the board, from the lowest string's side to the highest's, in the nut's frame; null while scale or widths are not known. */
export function fretLine(neck: Neck, fret: number): readonly [Point, Point] | null {
  const { scale, scaleBass, nutWidth, endWidth } = neck;
  if (!scale || !nutWidth) return null;
  const low = (scaleBass ?? scale).value;
  const offset = fretDistance(scale.value, neck.squareFret) - fretDistance(low, neck.squareFret);
  const end = fretDistance(scale.value, neck.frets);
  const half = (y: number): number => (nutWidth.value + ((endWidth?.value ?? nutWidth.value) - nutWidth.value) * (end === 0 ? 0 : y / end)) / 2;
  const [yLow, yHigh] = [offset + fretDistance(low, fret), fretDistance(scale.value, fret)];
  return [
    { x: -half(yLow), y: yLow },
    { x: half(yHigh), y: yHigh },
  ];
}
