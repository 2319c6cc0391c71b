import { MM_PER_INCH, toInchFraction, type LengthUnit } from '@rinnovo/core/measure';
import { fixed, withUnit } from './locale.js';

const MINUS = '\u2212';

/** A length in the chosen unit: `22.20 mm`, `7/8 in`, `0.875 in`. A fraction tells its deviation when it is over 0.005 mm. */
export function lengthText(mm: number, unit: LengthUnit, places = 2): string {
  if (unit === 'mm') return withUnit(fixed(mm, places), 'mm');
  if (unit === 'inch') return withUnit(fixed(mm / MM_PER_INCH, places + 1), 'in');
  const f = toInchFraction(mm);
  const whole = f.whole > 0 || f.numerator === 0 ? String(f.whole) : '';
  const part = f.numerator > 0 ? `${f.numerator}/${f.denominator}` : '';
  const deviation = Math.abs(f.deviation) > 0.005 ? ` ${f.deviation > 0 ? '+' : MINUS}${withUnit(fixed(Math.abs(f.deviation), 2), 'mm')}` : '';
  return `${f.negative ? MINUS : ''}${withUnit([whole, part].filter(Boolean).join(' '), 'in')}${deviation}`;
}

/** A limit of error beside a length: in mm it shares the length's unit, otherwise it brings its own. */
export function limitText(mm: number, unit: LengthUnit): string {
  return unit === 'mm' ? fixed(mm, 2) : withUnit(fixed(mm / MM_PER_INCH, 3), 'in');
}

/** The same length in the other unit, to stand beside it. */
export function otherLengthText(mm: number, unit: LengthUnit): string {
  return lengthText(mm, unit === 'mm' ? 'fraction' : 'mm');
}
