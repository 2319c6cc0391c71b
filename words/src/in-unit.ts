import type { LengthUnit } from '@rinnovo/core/measure';
import { isOpenCircuit, type AnyQuantity } from '@rinnovo/core/quantity';
import { lengthText } from './length.js';
import { fixed, withUnit } from './locale.js';

/** A number in its unit, as it is shown everywhere: lengths in the chosen unit, resistances in Ω, kΩ or MΩ, what a meter could not tell as open. An answer is no number. */
export function inUnit(value: number, q: Pick<AnyQuantity, 'unit'> & { readonly limit?: number }, unit: LengthUnit): string {
  switch (q.unit) {
    case 'mm':
      return lengthText(value, unit);
    case 'Ω':
      return ohmsText(value);
    case 'H':
    case 'V':
    case 'mA':
    case 'turns':
      return withUnit(fixed(value, 2), q.unit);
    default:
      return withUnit(fixed(value, (q.limit ?? 1) < 1 || !Number.isInteger(value) ? 1 : 0), q.unit);
  }
}

/** `0.3 Ω`, `7.40 kΩ`, `1.50 MΩ`, `open (OL)`. */
function ohmsText(value: number): string {
  if (isOpenCircuit(value)) return 'open (OL)';
  if (Math.abs(value) >= 1e6) return withUnit(fixed(value / 1e6, 2), 'MΩ');
  return Math.abs(value) >= 1000 ? withUnit(fixed(value / 1000, 2), 'kΩ') : withUnit(fixed(value, Number.isInteger(value) ? 0 : 1), 'Ω');
}
