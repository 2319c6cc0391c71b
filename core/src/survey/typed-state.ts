import { parseLength, type LengthUnit } from '../measure/index.js';
import { STATES, type StateId } from '../quantity/index.js';

/** What a text says of a state: nothing yet, a value in its unit, or why it is none. */
export type TypedState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'wrong'; readonly because: 'not a length' | 'not a number' }
  | { readonly kind: 'wrong'; readonly because: 'out of range'; readonly value: number };

/** Thousandfold of a unit, as meters show it. */
const FACTORS: Readonly<Partial<Record<string, number>>> = { k: 1, m: 1000, r: 0.001 };
const UNIT_AFTER = /\s*(%|°C|c|cents|Ω|ohms?|turns)$/i;

/** Reads a state as it is typed: lengths in any unit, numbers with a decimal comma, resistances with k, M or R. `7.4k` is 7.4 kΩ, `0,5M` 500. */
export function typedState(id: StateId, text: string, unit: LengthUnit): TypedState {
  const t = text.trim().replace('−', '-');
  if (t === '') return { kind: 'empty' };
  const q = STATES[id];
  const value = q.unit === 'mm' ? lengthOf(t, unit) : q.unit === 'kΩ' ? kilohms(t) : Number(t.replace(',', '.').replace(UNIT_AFTER, ''));
  if (value === null || !Number.isFinite(value)) return { kind: 'wrong', because: q.unit === 'mm' ? 'not a length' : 'not a number' };
  if (value < q.min || value > q.max || (q.choices && !Number.isInteger(value))) return { kind: 'wrong', because: 'out of range', value };
  return { kind: 'value', value };
}

function lengthOf(t: string, unit: LengthUnit): number | null {
  const p = parseLength(t, unit);
  return p.ok ? p.mm : null;
}

/** `7.4`, `7.4k`, `1M`, `470R`: kΩ; nothing else is taken for one. */
function kilohms(t: string): number | null {
  const m = /^(\d+(?:[.,]\d+)?)\s*([kKmMrR])?(?:Ω|ohms?)?$/.exec(t);
  if (!m) return null;
  return Number((m[1] ?? '').replace(',', '.')) * (FACTORS[(m[2] ?? 'k').toLowerCase()] ?? 1);
}
