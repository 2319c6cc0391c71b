import { MM_PER_INCH, toInchFraction, type LengthUnit } from '@rinnovo/core/measure';

const MINUS = '\u2212';

/** A number with a true minus and fixed places. */
export function fixed(value: number, places: number): string {
  const text = Math.abs(value).toFixed(places);
  return value < 0 && Number(text) !== 0 ? `${MINUS}${text}` : text;
}

/** A length in the chosen unit: `22.20 mm`, `7/8 in`, `0.875 in`. A fraction tells its deviation when it is over 0.005 mm. */
export function lengthText(mm: number, unit: LengthUnit, places = 2): string {
  if (unit === 'mm') return `${fixed(mm, places)} mm`;
  if (unit === 'inch') return `${fixed(mm / MM_PER_INCH, places + 1)} in`;
  const f = toInchFraction(mm);
  const whole = f.whole > 0 || f.numerator === 0 ? String(f.whole) : '';
  const part = f.numerator > 0 ? `${f.numerator}/${f.denominator}` : '';
  const deviation = Math.abs(f.deviation) > 0.005 ? ` ${f.deviation > 0 ? '+' : MINUS}${Math.abs(f.deviation).toFixed(2)} mm` : '';
  return `${f.negative ? MINUS : ''}${[whole, part].filter(Boolean).join(' ')} in${deviation}`;
}

/** A limit of error beside a length: in mm it shares the length's unit, otherwise it brings its own. */
export function limitText(mm: number, unit: LengthUnit): string {
  return unit === 'mm' ? mm.toFixed(2) : `${(mm / MM_PER_INCH).toFixed(3)} in`;
}

/** The same length in the other unit, to stand beside it. */
export function otherLengthText(mm: number, unit: LengthUnit): string {
  return lengthText(mm, unit === 'mm' ? 'fraction' : 'mm');
}
