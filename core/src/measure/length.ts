/** The unit in which a bare number is typed and a length is shown. */
export const LENGTH_UNITS = ['mm', 'fraction', 'inch', 'thou'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

export const MM_PER_INCH = 25.4;

export type LengthError = 'empty' | 'not a length' | 'division by zero' | 'too long' | 'not finite';

export type ParsedLength =
  | {
      readonly ok: true;
      readonly mm: number;
      readonly raw: string;
      /** Something was taken away from something: it is said, since a dash also joins. */ readonly subtracts: boolean;
    }
  | { readonly ok: false; readonly error: LengthError; readonly raw: string };

const TERM = /^(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:\.\d*)?|\.\d+))\s*(mm|cm|thou|in|")?$/;

/** A whole number and a fraction that a dash joins without a space: 25-1/2 is 25 and a half, as it stands on parts and drawings [trade]. */
const JOINED = /(?<![\d./"a-z]|[\d./"a-z] )(\d+)[-\u2010-\u2015](\d+)\/(\d+)(?![\d./])/g;

/**
 * Reads a length as a technician types it, in mm.
 * A bare number is in `unit`; a bare fraction is inches; sums of terms and a decimal comma are accepted. 1-3/32 is 1 and 3/32; with spaces, 1 - 3/32, it is a subtraction.
 * `parseLength('1 1/2 + 3/32', 'mm')` is (1.5 + 0.09375) × 25.4 = 40.48125 mm [law].
 */
export function parseLength(raw: string, unit: LengthUnit): ParsedLength {
  const text = raw
    .trim()
    .toLowerCase()
    .replace(/[”″]/g, '"')
    .replace(/,/g, '.')
    .replace(/\u2212/g, '-')
    .replace(JOINED, (all, whole: string, num: string, den: string) => (Number(num) < Number(den) ? `${whole} ${num}/${den}` : all))
    .replace(/[\u2010-\u2015]/g, '-');
  if (text === '') return { ok: false, error: 'empty', raw };
  if (text.length > 60) return { ok: false, error: 'too long', raw };
  let total = 0;
  let subtracts = false;
  const terms = text.split(/(?<=[\d"mnu.])\s*([+-])\s*/);
  let sign = 1;
  let first = terms[0] ?? '';
  if (first.startsWith('-')) {
    sign = -1;
    first = first.slice(1).trim();
  }
  for (let i = 0; i < terms.length; i += 2) {
    if (i > 0) sign = terms[i - 1] === '-' ? -1 : 1;
    const term = termInMm(i === 0 ? first : (terms[i] ?? ''), unit);
    if (typeof term !== 'number') return { ok: false, error: term.error, raw };
    total += sign * term;
    if (i > 0 && sign < 0) subtracts = true;
  }
  return Number.isFinite(total) ? { ok: true, mm: total, raw, subtracts } : { ok: false, error: 'not finite', raw };
}

function termInMm(term: string, unit: LengthUnit): number | { error: LengthError } {
  const m = TERM.exec(term.trim());
  if (!m) return { error: 'not a length' };
  const [, whole, num, den, fnum, fden, decimal, suffix] = m;
  if (decimal !== undefined) return Number(decimal) * mmPer(suffix ?? (unit === 'mm' || unit === 'thou' ? unit : 'in'));
  const denominator = Number(den ?? fden);
  if (denominator === 0) return { error: 'division by zero' };
  const value = Number(whole ?? 0) + Number(num ?? fnum) / denominator;
  return value * mmPer(suffix ?? 'in');
}

function mmPer(suffix: string): number {
  if (suffix === 'mm') return 1;
  if (suffix === 'cm') return 10;
  if (suffix === 'thou') return MM_PER_INCH / 1000;
  return MM_PER_INCH;
}

/** A length as whole inches and a fraction to 1/64, with the deviation (true − shown) in mm. */
export interface InchFraction {
  readonly negative: boolean;
  readonly whole: number;
  readonly numerator: number;
  readonly denominator: number;
  readonly deviation: number;
}

/** The nearest inch fraction to 1/64: `toInchFraction(27.78125)` is 1 3/32 with deviation 0 [law]. */
export function toInchFraction(mm: number): InchFraction {
  const sixtyFourths = Math.round((Math.abs(mm) / MM_PER_INCH) * 64);
  const shown = ((mm < 0 ? -1 : 1) * sixtyFourths * MM_PER_INCH) / 64;
  let numerator = sixtyFourths % 64;
  let denominator = 64;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  return {
    negative: mm < 0 && sixtyFourths > 0,
    whole: Math.floor(sixtyFourths / 64),
    numerator,
    denominator: numerator === 0 ? 1 : denominator,
    deviation: mm - shown,
  };
}
