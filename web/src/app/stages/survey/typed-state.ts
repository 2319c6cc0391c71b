import { parseLength, type LengthUnit } from '@rinnovo/core/measure';
import { STATES, type StateId } from '@rinnovo/core/quantity';
import { stateText } from '@rinnovo/words';

/** What a cell says: nothing yet, a value in the quantity's unit, or why it is none. */
export type TypedState = { readonly kind: 'empty' } | { readonly kind: 'value'; readonly value: number } | { readonly kind: 'wrong'; readonly because: string };

/** Thousandfold of a unit, as meters show it. */
const FACTORS: Readonly<Partial<Record<string, number>>> = { k: 1, m: 1000, r: 0.001 };

/** Reads a cell: lengths in any unit, plain numbers with a decimal comma, resistances with k, M or R. */
export function typedState(id: StateId, text: string, unit: LengthUnit): TypedState {
  const t = text.trim();
  if (t === '') return { kind: 'empty' };
  const q = STATES[id];
  const value =
    q.unit === 'mm'
      ? lengthOf(t, unit)
      : q.unit === 'kΩ'
        ? kilohms(t)
        : Number(
            t
              .replace(',', '.')
              .replace('−', '-')
              .replace(/\s*(%|°C|cents|Ω|turns)$/, ''),
          );
  if (value === null || !Number.isFinite(value))
    return { kind: 'wrong', because: q.unit === 'mm' ? 'Not a length: 1.6, 1/16, 2thou' : `Not a number in ${q.unit}` };
  if (value < q.min || value > q.max)
    return { kind: 'wrong', because: `${stateText(id, value, unit)} cannot be: ${stateText(id, q.min, unit)} to ${stateText(id, q.max, unit)}` };
  return { kind: 'value', value };
}

function lengthOf(t: string, unit: LengthUnit): number | null {
  const p = parseLength(t.replace('−', '-'), unit);
  return p.ok ? p.mm : null;
}

/** `7.4`, `7.4k`, `1M`, `470R`: kΩ; nothing else is taken for one. */
function kilohms(t: string): number | null {
  const m = /^(\d+(?:[.,]\d+)?)\s*([kKmMrR])?(?:Ω|ohms?)?$/.exec(t);
  if (!m) return null;
  return Number((m[1] ?? '').replace(',', '.')) * (FACTORS[(m[2] ?? 'k').toLowerCase()] ?? 1);
}
