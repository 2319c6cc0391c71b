export { building, settingOfRow, unlike, wishedOf, type Built, type Solution } from './build.js';
export { whyNot, type Change, type WhyNot } from './changes.js';
export { cancellingStays, wholePickup, withEffect, withPull, type Effect } from './effects.js';
export { ledOutOf, unsaid, withParts, withSplitResistor } from './kit.js';
export { MOST_ROWS, wishProblems, type WishProblem } from './problems.js';
export { atOf, rowAt } from './row-at.js';
export { heardAt, heardKey, type CoilTree, type HeardAt } from './voice-at.js';
export { wishOf, type WishRead } from './wish-of.js';
export {
  heardIn,
  LED_OUT,
  SILENCE,
  TOGETHER,
  type CircuitWish,
  type HeardAs,
  type LedOut,
  type PickupVoice,
  type Together,
  type Voice,
  type WishRow,
} from './wish.js';
