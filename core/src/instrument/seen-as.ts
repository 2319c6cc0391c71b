import { mirrorOutline, type Outline } from '../shape/index.js';
import type { Anatomy, Face } from './anatomy.js';

/** How a drawing lies before the eye: which instrument's, from which side it is looked at, and whether it is mirrored against that. */
export interface SeenAs {
  readonly handed: Anatomy['handed'];
  readonly face: Face;
  readonly mirrored: boolean;
}

/** Which way x runs before the eye against the anatomy's: −1 on a left-handed instrument's top, on a right-handed one's back, or mirrored. */
export function seenSide({ handed, face, mirrored }: SeenAs): 1 | -1 {
  const turned = [handed === 'left', face === 'back', mirrored].filter(Boolean).length;
  return turned % 2 === 0 ? 1 : -1;
}

/** An outline as it lies before the eye. */
export function outlineAsSeen(o: Outline, seen: SeenAs): Outline {
  return seenSide(seen) < 0 ? mirrorOutline(o) : o;
}
