import { byKind } from '../../operation/index.js';
import type { ChoiceWays, RemedyRows } from '../choice-ways.js';
import { cut } from './cut.js';
import { hardware } from './hardware.js';
import { pickup } from './pickup.js';

/** The ways out of every kind of choice. */
export const WAYS: RemedyRows['ways'] = byKind<ChoiceWays>([pickup, hardware, cut]);
