import { parseLength, type LengthUnit } from '../measure/index.js';
import { canBe, OPEN, STATES, type StateId } from '../quantity/index.js';

/** What a text says of a state: nothing yet, a value in its unit, or why it is none. */
export type TypedState =
  | { readonly kind: 'empty' }
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'wrong'; readonly because: 'not a length' | 'not a number' }
  | { readonly kind: 'wrong'; readonly because: 'out of range'; readonly value: number };

/** How many Ω, as meters show it. */
const FACTORS: Readonly<Partial<Record<string, number>>> = { k: 1e3, m: 1e6, r: 1 };
/** What a meter shows that can tell no more, and what people say of it. */
const OPENS = /^(ol|o\.l\.?|open|∞)$/i;
const UNIT_AFTER = /\s*(%|°C|c|cents|Ω|ohms?|turns)$/i;

/** Reads a state as it is typed: lengths in any unit, numbers with a decimal comma, resistances with k, M or R, or OL where they are open. Of a coil `7.4` and `7.4k` are 7400 Ω, `0,5M` 500000. */
export function typedState(id: StateId, text: string, unit: LengthUnit): TypedState {
  const t = text.trim().replace('−', '-');
  if (t === '') return { kind: 'empty' };
  const q = STATES[id];
  const value = q.unit === 'mm' ? lengthOf(t, unit) : q.unit === 'Ω' ? ohms(t, q.bare ?? 1) : Number(t.replace(',', '.').replace(UNIT_AFTER, ''));
  if (value === null || !Number.isFinite(value)) return { kind: 'wrong', because: q.unit === 'mm' ? 'not a length' : 'not a number' };
  if (!canBe(q, value)) return { kind: 'wrong', because: 'out of range', value };
  return { kind: 'value', value };
}

function lengthOf(t: string, unit: LengthUnit): number | null {
  const p = parseLength(t, unit);
  return p.ok ? p.mm : null;
}

/** `7.4k`, `1M`, `470R`, `OL`, and a bare number as it is meant: Ω; nothing else is taken for one. */
function ohms(t: string, bare: number): number | null {
  if (OPENS.test(t)) return OPEN;
  const m = /^(\d+(?:[.,]\d+)?)\s*([kKmMrR])?(?:Ω|ohms?)?$/.exec(t);
  if (!m) return null;
  const value = Number((m[1] ?? '').replace(',', '.')) * (FACTORS[m[2]?.toLowerCase() ?? ''] ?? (/Ω|ohm/i.test(t) ? 1 : bare));
  return Math.round(value * 1e6) / 1e6;
}
