import { constant } from '../measure/index.js';
import { isOpenCircuit } from '../quantity/index.js';
import type { Expected } from './test-sheet.js';

/** How a reading stands beside its prediction. */
export type LineVerdict = 'agrees' | 'low' | 'high' | 'open' | 'shorted' | 'not open';

/** Old contacts add so much, Ω: a reading that is higher by no more is forgiven. */
export const CONTACTS = constant(25, 'trade', 'Contacts');
/** Up to this hot and ground touch, Ω. */
const TOUCHING = constant(5, 'trade', 'Coils');

/** A reading with its limit of error. */
export interface LineReading {
  readonly value: number;
  readonly limit: number;
}

/** Judges a reading: it agrees where its limits meet those of the prediction; contacts only ever add. */
export function judgeLine({ value, least, most, resistance }: Expected, read: LineReading): LineVerdict {
  const contacts = resistance ? CONTACTS.value : 0;
  if (isOpenCircuit(value)) return isOpenCircuit(read.value) ? 'agrees' : 'not open';
  if (isOpenCircuit(read.value)) return isOpenCircuit(most) ? 'agrees' : 'open';
  if (read.value + read.limit >= least && read.value - read.limit <= most + contacts) return 'agrees';
  if (resistance && read.value <= TOUCHING.value && value > TOUCHING.value) return 'shorted';
  return read.value < value ? 'low' : 'high';
}
