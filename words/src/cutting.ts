import type { BitRefusal, School, SetUpId } from '@rinnovo/core/cut';
import { valueOf, type LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';

/** Why a template bit will not do. */
export function bitRefusalText(r: BitRefusal, unit: LengthUnit): string {
  const length = (mm: number): string => lengthText(mm, unit, 1);
  switch (r.kind) {
    case 'cornerTooTight':
      return `its radius ${length(r.cutterRadius)} does not go into a corner of ${length(r.corner)}`;
    case 'templateTooThin':
      return `its bearing would not touch at the first pass: the template must be ${length(valueOf(r.needed))}, it is ${length(r.has)}`;
    case 'reachTooShort':
      return `it reaches ${length(r.reach)}, the floor is at ${length(r.depth)}`;
    case 'bearingOff':
      return `its bearing of ${length(r.bearing)} is not as wide as its cutter of ${length(r.cutter)}: the line would be off`;
    case 'cannotPlunge':
      return 'it does not cut with its end, and nothing is bored for it to enter by';
  }
}

/** The named set-ups, by their letter. */
export const SET_UP_WORDS: Readonly<Record<SetUpId, { readonly letter: string; readonly title: string; readonly how: string }>> = {
  projection: { letter: 'a', title: 'bit below the base', how: 'from the router’s base down to the end of the bit' },
  overStraightEdge: {
    letter: 'b',
    title: 'from a straight edge on the base',
    how: 'from the outer face of a straight edge that lies on the base to the end of the bit',
  },
  finished: { letter: 'c', title: 'finished depth', how: 'from the top of a straight edge across the template down to the floor' },
};

/** The ways of taking the bulk out, and why somebody goes that way; common practice, schools differ. */
export const SCHOOL_WORDS: Readonly<Record<School['id'], { readonly title: string; readonly why: string }>> = {
  boreFirst: {
    title: 'Bore the bulk, then the template bit',
    why: 'Cheap cutters do the heavy work, at the press with a stop; the template bit stays sharp and cool.',
  },
  straightBit: { title: 'Straight bit freehand, then the template bit', why: 'No drill press; needs a steady hand clear of the line.' },
  templateOnly: { title: 'Template bit alone, thin passes', why: 'One set-up and no line but the template; slow, warm, and hard on the bit.' },
};
