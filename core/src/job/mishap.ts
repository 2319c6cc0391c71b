export const MISHAPS = ['tooDeep', 'slipped', 'tornOut', 'chipped', 'wandered', 'other'] as const;
export type MishapId = (typeof MISHAPS)[number];

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
] as const;
export type WayOnId = (typeof WAYS_ON)[number];

/** Which way a cut went beyond its line, as the instrument lies: towards bass or treble, neck or bridge. */
export const SIDES = ['bass', 'treble', 'neck', 'bridge'] as const;
export type Side = (typeof SIDES)[number];

/** Is there a length to a mishap beside a depth: how far it went? */
export const asksFlaw = (mishap: MishapId): boolean => mishap === 'slipped' || mishap === 'tornOut' || mishap === 'chipped' || mishap === 'wandered';

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
