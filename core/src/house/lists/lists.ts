import { CHOICES } from '../../check/choices/index.js';
import type { CheckRows } from '../../check/index.js';
import { OPERATIONS } from '../../operation/kinds/index.js';
import { STEPS } from '../../operation/steps.js';
import type { OrderRows } from '../../order/index.js';
import { RULES } from '../../order/rules.js';
import { PART_KINDS } from '../../part/kinds/index.js';

/** What of the house is only data, or nearly: a page that asks no more of it loads no sums. */
export type Lists = Omit<CheckRows, 'checks' | 'bench'> & OrderRows;

export const LISTS: Lists = { partKinds: PART_KINDS, operations: OPERATIONS, steps: STEPS, rules: RULES, choiceKinds: CHOICES };
