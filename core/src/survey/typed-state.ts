import { parseLength, type LengthUnit } from '../measure/index.js';
import { canBe, STATES, typedOhms, type StateId } from '../quantity/index.js';

/** What a text says of a state: nothing yet, a value in its unit, or why it is none. */
export type TypedState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'wrong'; readonly because: 'not a length' | 'not a number' }
  | { readonly kind: 'wrong'; readonly because: 'out of range'; readonly value: number };

const UNIT_AFTER = /\s*(%|°C|c|cents|Ω|ohms?|turns)$/i;

/** Reads a state as it is typed: lengths in any unit, numbers with a decimal comma, resistances with k, M or R, or OL where they are open. Of a coil `7.4` and `7.4k` are 7400 Ω, `0,5M` 500000. */
export function typedState(id: StateId, text: string, unit: LengthUnit): TypedState {
  const t = text.trim().replace('−', '-');
  if (t === '') return { kind: 'empty' };
  const q = STATES[id];
  const value = q.unit === 'mm' ? lengthOf(t, unit) : q.unit === 'Ω' ? typedOhms(t, q.bare ?? 1) : Number(t.replace(',', '.').replace(UNIT_AFTER, ''));
  if (value === null || !Number.isFinite(value)) return { kind: 'wrong', because: q.unit === 'mm' ? 'not a length' : 'not a number' };
  if (!canBe(q, value)) return { kind: 'wrong', because: 'out of range', value };
  return { kind: 'value', value };
}

function lengthOf(t: string, unit: LengthUnit): number | null {
  const p = parseLength(t, unit);
  return p.ok ? p.mm : null;
}
