import { BENCH } from '../check/bench/index.js';
import { CHECKS } from '../check/checks.js';
import { CARDS } from '../gate/cards/index.js';
import type { GateRows } from '../gate/index.js';
import type { RemedyRows } from '../remedy/index.js';
import { WAYS } from '../remedy/ways/index.js';
import { PLANS } from '../work/plans/index.js';
import { LISTS } from './lists/index.js';

/** All that is registered: kinds of parts, operations and choices, checks, rules, ways out, plans and cards. */
export interface House extends RemedyRows, GateRows {}

/** The house as it stands: the only place that knows every row. */
export const HOUSE: House = {
  ...LISTS,
  checks: CHECKS,
  bench: BENCH,
  plans: PLANS,
  ways: WAYS,
  cards: CARDS,
};
