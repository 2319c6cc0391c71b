import type { HardwareChoice } from '@rinnovo/core/check';
import type { BitRefusal, CutProblem, WatchFor, HoleLine, Remark, Method, SetUpId } from '@rinnovo/core/cut';
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

/** The ways of taking the bulk out, and why somebody goes that way; common practice, methods differ. */
export const METHOD_WORDS: Readonly<Record<Method['id'], { readonly title: string; readonly why: string }>> = {
  boreFirst: {
    title: 'Bore the bulk, then the template bit',
    why: 'Cheap cutters do the heavy work, at the press with a stop; the template bit stays sharp and cool.',
  },
  straightBit: { title: 'Straight bit freehand, then the template bit', why: 'No drill press; needs a steady hand clear of the line.' },
  templateOnly: { title: 'Template bit alone, thin passes', why: 'One set-up and no line but the template; slow, warm, and hard on the bit.' },
};

const CUT_PROBLEMS: Readonly<Record<CutProblem, string>> = {
  notThere: 'Say where it begins and where it ends, on one face.',
  notDeeper: 'It is as deep as that already.',
  otherFrame: 'That cavity is drawn in another frame: begin at the other end.',
  tooMany: 'A row has 2 to 24 holes.',
  tooClose: 'The holes would run into one another: they must lie further apart than they are wide.',
  joined: 'The two run into one another already.',
  noOutline: 'There is no outline to begin from.',
  noThickness: 'How thick the plate is, is not measured: type how deep the relief goes.',
};

/** Why no cut comes of what was typed. */
export function cutProblemText(problem: CutProblem): string {
  return CUT_PROBLEMS[problem];
}

/** How large a cut by itself is. */
export function cutSizeText({ work, count }: HardwareChoice, unit: LengthUnit): string {
  const length = (mm: number): string => lengthText(mm, unit, 1);
  const [first] = work;
  if (first?.kind === 'setDepth') return `to ${length(first.depth.value)}`;
  if (first?.kind === 'addLevels') return `${length(first.levels[0]?.depth?.value ?? 0)} deep`;
  if (first?.kind === 'addCavity') return `${length(first.cavity.levels[0]?.depth?.value ?? 0)} deep`;
  if (first?.kind === 'addHole')
    return `${count} of ${length(first.hole.diameter?.value ?? 0)}, ${first.hole.through ? 'right through' : `${length(first.hole.depth?.value ?? 0)} deep`}`;
  return 'not cut';
}

/** What a wood and its cutters ask for; common practice. */
export const REMARK_WORDS: Readonly<Record<Remark, string>> = {
  dustHarms: 'Its dust sensitises or worse: extraction and a P2/FFP2 (N95) mask, skin covered; local rules go first.',
  burns: 'It burns: a sharp bit, no standing still, light last passes.',
  tears: 'It tears along its grain: light passes, feed against the rotation, and a scoring cut along the line first.',
  fuzzes: 'It is soft and leaves fuzz: a sharp bit, a thin last pass; clamps dent it, so use cauls.',
  glueDulls: 'Its glue dulls edges: look at the bit between passes.',
  slowLarge: 'A bit over 25 mm turns below 18 000 a minute, or as its maker says.',
  slowVeryLarge: 'A bit over 50 mm turns below 12 000 a minute, or as its maker says.',
};

/** Ways of carrying a pattern of holes over; common practice. */
export const TRANSFER_WORDS: readonly string[] = [
  'A 1 : 1 print, laid on the centre line and pricked through.',
  'Pointed studs set in the one part mark the other when they are pressed together.',
  'The part itself as the template, held where it goes; the first hole drilled and pinned before the second.',
];

/** What is done to a hole. */
export const HOLE_WORK_WORDS: Readonly<Record<HoleLine['work'], string>> = {
  new: 'New',
  open: 'Open it',
  plugAndDrill: 'Plug, then drill',
  moved: 'Plug, drill beside',
  close: 'Close it',
  deepen: 'Bore deeper',
};

/** What is to be heeded at a hole; common practice. */
export const WATCH_FOR_WORDS: Readonly<Record<WatchFor, string>> = {
  scratchFinish: 'Scratch the finish back with the countersink first.',
  backBoard: 'Backing board where the drill comes out.',
  nearEdge: 'Near the edge: a block clamped beside it, slow, no forcing.',
  inSight: 'Nothing covers its rim: tape over it, try the drill on scrap.',
  curePlug: 'The plug cures before it is drilled.',
};
