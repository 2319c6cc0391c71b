import { setting, sum, type Working } from '../measure/index.js';

/**
 * Where a fence goes so that the cutter's edge comes to a line: from the line to the fence, by the router's base and the bit [law].
 * Base 75 from its edge to the bit's middle, bit 9.5: 75 − 4.75 = 70.25. A spacer of 2 between base and fence moves the wall by 2.
 */
export function fenceAt(base: number, diameter: number): Working {
  const half: Working = { op: 'quotient', label: 'halfCutter', a: setting('cutter', diameter, 'typed'), b: setting('two', 2, 'two') };
  return sum('fenceFromLine', [1, setting('baseToMiddle', base, 'typed')], [-1, half]);
}
