import type { StepKind } from '../operation/index.js';

export const MISHAPS = ['tooDeep', 'slipped', 'tornOut', 'chipped', 'wandered', 'screwSnapped', 'finishLifted', 'partBroke', 'wrongPart', 'other'] as const;
export type MishapId = (typeof MISHAPS)[number];

/** Steps that cut along a line, or at which that is looked at, that drill, that take something out or off, that put something in. */
const ALONG_A_LINE = ['cut', 'measureDepth', 'clearBulk', 'deepenTo', 'widenTo', 'openSlotTo'];
const DRILLED = ['bore', 'drillNew', 'openTo', 'boreForPlug', 'boreDeeper', 'drillRowTo'];
const TAKEN_OUT = ['takeOut', 'takeHardwareOut', 'takePlateOff', 'coveringOff', 'liftOut'];
const PUT_IN = ['fit', 'fitHardware', 'mountPlate', 'putPlateBack', 'coveringOn'];

/** At which steps each can happen [trade]; too deep is where a depth is read, something else anywhere. */
export const MISHAP_STEPS: Readonly<Record<Exclude<MishapId, 'tooDeep' | 'other'>, readonly StepKind[]>> = {
  slipped: [...ALONG_A_LINE, 'fileWindow'],
  tornOut: [...ALONG_A_LINE, ...DRILLED, 'reamTo'],
  chipped: [
    ...ALONG_A_LINE,
    ...DRILLED,
    ...TAKEN_OUT,
    ...PUT_IN,
    'reamTo',
    'scratchFinish',
    'fileWindow',
    'levelPlug',
    'pullSleeve',
    'tryPart',
    'takeStringsOff',
  ],
  wandered: DRILLED,
  screwSnapped: ['takeOut', 'takeHardwareOut', 'takePlateOff', 'coveringOff', ...PUT_IN, 'startThread'],
  // tape and parts that stuck to it, heat beside it
  finishLifted: ['takeHardwareOut', 'takePlateOff', 'coveringOff', 'templateOff', 'unsolder', 'solder', 'coverChanged'],
  partBroke: [
    ...TAKEN_OUT,
    ...PUT_IN,
    'tryPart',
    'pressSleeve',
    'unsolder',
    'solder',
    'coverChanged',
    'cutDown',
    'cutPlate',
    'fileWindow',
    'putKnobOn',
    'takeStringsOff',
    'tuneUp',
  ],
  wrongPart: ['fit', 'fitHardware', 'tryPart', 'meter'],
};

/** What can have gone wrong at a step, in the order in which it is offered. */
export function mishapsAt(step: StepKind, readsDepth: boolean): readonly MishapId[] {
  return MISHAPS.filter((id) => (id === 'other' ? true : id === 'tooDeep' ? readsDepth : MISHAP_STEPS[id].includes(step)));
}

/** Where a mishap comes from: what the next plan is reminded of. */
export const CAUSES = ['forgot', 'order', 'measured', 'tool', 'material', 'part'] as const;
export type CauseId = (typeof CAUSES)[number];

/** What can be done about it. */
export const WAYS_ON = [
  'carryOn',
  'acceptThin',
  'leaveHidden',
  'shimUnderPart',
  'glueBack',
  'fillFlaw',
  'dropFill',
  'widerCover',
  'plugAgain',
  'stopAndFill',
  'turnOut',
  'extract',
  'newBeside',
  'layDown',
  'anotherOne',
  'mendPart',
  'rightOne',
] as const;
export type WayOnId = (typeof WAYS_ON)[number];

/** Which way a cut went beyond its line, as the instrument lies: towards bass or treble, neck or bridge. */
export const SIDES = ['bass', 'treble', 'neck', 'bridge'] as const;
export type Side = (typeof SIDES)[number];

/** Is there a length to a mishap beside a depth: how far it went? */
export const asksFlaw = (mishap: MishapId): mishap is 'slipped' | 'tornOut' | 'chipped' | 'wandered' | 'finishLifted' =>
  takesWood(mishap) || mishap === 'chipped' || mishap === 'wandered' || mishap === 'finishLifted';

/** Is wood gone beyond the line by it? */
export const takesWood = (mishap: MishapId): mishap is 'slipped' | 'tornOut' => mishap === 'slipped' || mishap === 'tornOut';

/** What went wrong: how far it went, where it comes from, what is done about it, and what the next job is to know. */
export interface Wrong {
  readonly mishap: MishapId;
  /** How far beyond the line or beside the place, mm; of a cut also of which level and which way. */
  readonly flaw: { readonly by: number; readonly level: string | null; readonly side: Side | null } | null;
  readonly cause: CauseId | null;
  readonly way: WayOnId | null;
  readonly lesson: string;
}
