import { MM_PER_INCH } from '../measure/index.js';

/** Shank of an inch wood screw by gauge number, mm: 0.060 in + 0.013 in × number [std: ASME B18.6.1]. #4 is 0.112 in = 2.8448 mm. */
export function woodScrewShank(gauge: number): number {
  return (0.06 + 0.013 * gauge) * MM_PER_INCH;
}
