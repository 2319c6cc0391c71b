import { area } from './measures.js';
import { length, segmentsOf, type Outline } from './outline.js';
import { selfCrossing } from './self-crossing.js';

/** Why a row of corners encloses no piece of wood. */
export type OutlineFlaw = 'tooFewCorners' | 'noArea' | 'crossesItself';

/** Less than this is no area, mm². */
const NO_AREA = 1e-6;

/** What is wrong with an outline; null where it can be cut. Two corners will do where an arc lies between them. */
export function outlineFlaw(outline: Outline): OutlineFlaw | null {
  const sides = segmentsOf(outline).filter((s) => length(s) > 0);
  if (sides.length < 3 && sides.every((s) => s.kind === 'line')) return 'tooFewCorners';
  if (!(area(outline) > NO_AREA)) return selfCrossing(outline) ? 'crossesItself' : 'noArea';
  return selfCrossing(outline) ? 'crossesItself' : null;
}
