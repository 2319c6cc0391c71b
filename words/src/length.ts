import { MM_PER_INCH, toInchFraction, type LengthUnit } from '@rinnovo/core/measure';
import { fixed, withUnit } from './locale.js';

const MINUS = '\u2212';

/** A length in the chosen unit: `22.20 mm`, `7/8 in`, `0.875 in`, `875 thou`. A fraction tells its deviation when it is over 0.005 mm. */
export function lengthText(mm: number, unit: LengthUnit, places = 2): string {
  if (unit === 'mm') return withUnit(fixed(mm, places), 'mm');
  if (unit === 'thou') return withUnit(fixed((mm / MM_PER_INCH) * 1000, Math.max(0, places - 1)), 'thou');
  if (unit === 'inch') return withUnit(fixed(mm / MM_PER_INCH, places + 1), 'in');
  const f = toInchFraction(mm);
  const whole = f.whole > 0 || f.numerator === 0 ? String(f.whole) : '';
  const part = f.numerator > 0 ? `${f.numerator}/${f.denominator}` : '';
  const deviation = Math.abs(f.deviation) > 0.005 ? ` ${f.deviation > 0 ? '+' : MINUS}${withUnit(fixed(Math.abs(f.deviation), 2), 'mm')}` : '';
  return `${f.negative ? MINUS : ''}${withUnit([whole, part].filter(Boolean).join(' '), 'in')}${deviation}`;
}

/** A limit of error beside a length: in mm it shares the length's unit, otherwise it brings its own. */
export function limitText(mm: number, unit: LengthUnit): string {
  if (unit === 'thou') return withUnit(fixed((mm / MM_PER_INCH) * 1000, 1), 'thou');
  return unit === 'mm' ? fixed(mm, 2) : withUnit(fixed(mm / MM_PER_INCH, 3), 'in');
}

/** The same length in the other unit, to stand beside it. */
export function otherLengthText(mm: number, unit: LengthUnit): string {
  return lengthText(mm, unit === 'mm' ? 'fraction' : 'mm');
}

/** A length as it is typed in the chosen unit, so that it comes back as it was: `22.2`, `0.8740in`, `874`. */
export function asTyped(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return String(Math.round(mm * 1000) / 1000);
  if (unit === 'thou') return String(Math.round((mm / MM_PER_INCH) * 1e5) / 100);
  return `${(mm / MM_PER_INCH).toFixed(4)}in`;
}
