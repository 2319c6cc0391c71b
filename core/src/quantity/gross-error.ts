import { constant, type Constant } from '../measure/index.js';
import type { QuantityId } from './catalogue.js';
import type { StateId } from './state.js';

/** Lengths from here on are misread by whole steps of a scale, mm. */
const LONG = constant(10, 'memory', 'A gross error of reading');
/** What one long length is misread by at least, mm: a jaw that sat on the lip of a guard, a scale read from the wrong mark. */
const SLIP = constant(3, 'memory', 'A gross error of reading');
/** And as a part of it. */
const SHARE = constant(0.1, 'memory', 'A gross error of reading');

/** What some are misread by whatever they are, mm: a hole by the next drill, a fret or a slot by the next gauge. */
const OWN: Readonly<Partial<Record<QuantityId | StateId, Constant>>> = {
  holeDiameter: constant(1, 'memory', 'A gross error of reading'),
  bareDiameter: constant(1, 'memory', 'A gross error of reading'),
  relief: constant(0.3, 'memory', 'A gross error of reading'),
  reliefTreble: constant(0.3, 'memory', 'A gross error of reading'),
  reliefAt: constant(0.3, 'memory', 'A gross error of reading'),
  nutGap: constant(0.3, 'memory', 'A gross error of reading'),
  fretHeight: constant(0.3, 'memory', 'A gross error of reading'),
  fretRock: constant(0.3, 'memory', 'A gross error of reading'),
};

/** By how much one hurried reading of a quantity may be wrong, in its unit: 41.5 thick by 4.15, a hole of 8 by 1, a plate of 2 by 0.2. */
export function grossError(quantity: QuantityId | StateId, value: number): number {
  const own = OWN[quantity];
  if (own) return own.value;
  const share = SHARE.value * Math.abs(value);
  return Math.abs(value) > LONG.value ? Math.max(SLIP.value, share) : share;
}
