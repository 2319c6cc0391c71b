import { byKind } from '../../operation/index.js';
import type { ChoiceRow } from '../row.js';
import { cut } from './cut.js';
import { hardware } from './hardware.js';
import { pickup } from './pickup.js';

/** Every kind of choice. */
export const CHOICES: Readonly<Record<string, ChoiceRow>> = byKind<ChoiceRow>([pickup, hardware, cut]);
