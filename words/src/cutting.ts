import { actsOfChoice, type CutChoice } from '@rinnovo/core/check';
import type { BitRefusal, CutProblem, WatchFor, HoleLine, Remark, Method, SetUpId, SetUpRead } from '@rinnovo/core/cut';
import { valueOf, type LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';
import { upperFirst } from './names.js';

/** Why a template bit will not do. */
export function bitRefusalText(r: BitRefusal, unit: LengthUnit): string {
  const length = (mm: number): string => lengthText(mm, unit, 1);
  switch (r.kind) {
    case 'cornerTooTight':
      return `its radius of ${length(r.cutterRadius)} is too large for a corner of ${length(r.corner)}`;
    case 'templateTooThin':
      return `its bearing misses the template at the first pass: the template is ${length(r.has)} thick and must be ${length(valueOf(r.needed))}`;
    case 'reachTooShort':
      return `it reaches ${length(r.reach)}; the floor is at ${length(r.depth)}`;
    case 'bearingOff':
      return `its bearing of ${length(r.bearing)} differs from its cutter of ${length(r.cutter)}, so the line would shift`;
    case 'cannotPlunge':
      return 'it does not plunge, and no bored hole gives it an entry';
  }
}

/** The named set-ups, by their letter. */
export const SET_UP_WORDS: Readonly<Record<SetUpId, { readonly letter: string; readonly title: string; readonly how: string }>> = {
  projection: { letter: 'a', title: 'bit below the base', how: 'from the router base to the end of the bit' },
  overStraightEdge: {
    letter: 'b',
    title: 'from a straight edge on the base',
    how: 'from the outer face of a straight edge on the base to the end of the bit',
  },
  finished: { letter: 'c', title: 'finished depth', how: 'from the top of a straight edge across the template to the floor' },
};

/** What a set-up that was read comes to: as planned, the number of another method, or a stack that does not add up. */
export function setUpReadText(read: SetUpRead, by: SetUpId, unit: LengthUnit): readonly string[] {
  const length = (mm: number): string => lengthText(mm, unit, 1);
  const named = (id: SetUpId): string => `(${SET_UP_WORDS[id].letter}) ${SET_UP_WORDS[id].title}`;
  const depth = `the cut comes out ${length(valueOf(read.depth))} deep`;
  if (read.agrees) return [`As planned: ${depth}.`];
  const off = `${upperFirst(depth)}, ${length(Math.abs(read.off))} too ${read.off > 0 ? 'deep' : 'shallow'}.`;
  if (read.slip) return [`That is the number for ${named(read.slip)}.`, `The plan here works by ${named(by)}.`, off];
  return [`It leaves ${length(valueOf(read.left))} beside the depth.`, `Straight edge and template take ${length(valueOf(read.there))}.`, off];
}

/** The ways of taking the bulk out, and why somebody goes that way; common practice, methods differ. */
export const METHOD_WORDS: Readonly<Record<Method['id'], { readonly title: string; readonly why: string }>> = {
  boreFirst: {
    title: 'Bore the bulk, then the template bit',
    why: 'Cheap bits do the heavy work on the drill press, with a stop. The template bit stays sharp and cool.',
  },
  straightBit: { title: 'Straight bit freehand, then the template bit', why: 'No drill press needed. Needs a steady hand to stay clear of the line.' },
  templateOnly: { title: 'Template bit alone, thin passes', why: 'One set-up, guided by the template throughout. Slow, hot, and hard on the bit.' },
};

const CUT_PROBLEMS: Readonly<Record<CutProblem, string>> = {
  noLevel: 'Choose the level to deepen.',
  noEnds: 'Choose a start and an end on the same face.',
  noPlate: 'Choose the plate.',
  notDeeper: 'The floor is already that deep.',
  otherFrame: 'That cavity is drawn in another frame. Start at the other end.',
  tooMany: 'Type 2 to 24 holes.',
  tooClose: 'The holes overlap. Set the spacing wider than the diameter.',
  joined: 'The two cavities already meet.',
  noOutline: 'Choose or draw an outline first.',
  noThickness: 'The plate thickness is not measured. Type the depth of the relief.',
};

/** Why no cut comes of what was typed. */
export function cutProblemText(problem: CutProblem): string {
  return CUT_PROBLEMS[problem];
}

/** How large a cut by itself is. */
export function cutSizeText(choice: CutChoice, unit: LengthUnit): string {
  const length = (mm: number): string => lengthText(mm, unit, 1);
  const [first] = actsOfChoice(choice);
  if (first?.kind === 'setDepth') return `to ${length(first.depth.value)}`;
  if (first?.kind === 'addLevels') return `${length(first.levels[0]?.depth?.value ?? 0)} deep`;
  if (first?.kind === 'addCavity') return `${length(first.cavity.levels[0]?.depth?.value ?? 0)} deep`;
  if (first?.kind === 'addHole')
    return `${choice.count} of ${length(first.hole.diameter?.value ?? 0)}, ${first.hole.through ? 'through' : `${length(first.hole.depth?.value ?? 0)} deep`}`;
  return 'not cut';
}

/** What a wood and its cutters ask for; common practice. */
export const REMARK_WORDS: Readonly<Record<Remark, string>> = {
  dustHarms: 'The dust can sensitise or poison: use extraction and a P2/FFP2 (N95) mask, and cover your skin. Local rules come first.',
  burns: 'It burns: use a sharp bit, keep moving, take light final passes.',
  tears: 'It tears along the grain: score the line first, take light passes, feed against the rotation.',
  fuzzes: 'It is soft and fuzzes: use a sharp bit and a thin final pass. Clamps dent it, so use cauls.',
  glueDulls: 'Its glue dulls bits: check the bit between passes.',
  slowLarge: 'Run a bit over 25 mm below 18 000 rpm, or follow its maker.',
  slowVeryLarge: 'Run a bit over 50 mm below 12 000 rpm, or follow its maker.',
};

/** Ways of carrying a pattern of holes over; common practice. */
export const TRANSFER_WORDS: readonly string[] = [
  'Lay a 1 : 1 print on the centre line and prick it through.',
  'Set pointed studs in one part and press the two together.',
  'Hold the part in place as a template. Drill and pin the first hole before the second.',
];

/** What is done to a hole. */
export const HOLE_WORK_WORDS: Readonly<Record<HoleLine['work'], string>> = {
  new: 'New',
  open: 'Enlarge',
  plugAndDrill: 'Plug, then drill',
  moved: 'Plug, drill beside',
  close: 'Close',
  deepen: 'Deepen',
};

/** What is to be heeded at a hole; common practice. */
export const WATCH_FOR_WORDS: Readonly<Record<WatchFor, string>> = {
  scratchFinish: 'First scratch the finish back with the countersink.',
  backBoard: 'Backing board at the exit.',
  nearEdge: 'Near the edge: clamp a block beside it, drill slowly, do not force.',
  inSight: 'Visible rim: tape over it, test the drill on scrap.',
  curePlug: 'Let the plug cure before drilling.',
};
