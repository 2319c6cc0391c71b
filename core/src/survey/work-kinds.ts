/** Kinds of work that hang on readings [trade: docs/trade/survey.md, what a kind of work rests on]. */
export const WORK_KINDS = [
  'setUp',
  'nut',
  'neckAngle',
  'neckReset',
  'fretEnds',
  'spotLevel',
  'fullLevel',
  'refret',
  'pickupSwap',
  'reroute',
  'rewire',
  'shielding',
  'bridgeGlue',
] as const;
export type WorkKind = (typeof WORK_KINDS)[number];
