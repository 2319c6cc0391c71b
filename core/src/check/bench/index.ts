import type { BenchRow } from '../row.js';
import { arm } from './arm.js';
import { battery } from './battery.js';
import { covering } from './covering.js';
import { electronics } from './electronics.js';
import { strings } from './strings.js';

/** Everything on the bench whose state matters, in the order in which it is changed. */
export const BENCH: readonly BenchRow[] = [strings, battery, arm, covering, electronics];
