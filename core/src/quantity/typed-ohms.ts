import { OPEN } from './open-circuit.js';

/** How many Ω, as meters show it. */
const FACTORS: Readonly<Partial<Record<string, number>>> = { k: 1e3, m: 1e6, r: 1 };
/** What a meter shows that can tell no more, and what people say of it. */
const OPENS = /^(ol|o\.l\.?|open|∞)$/i;

/** Ω as they are typed: `7.4k`, `1M`, `470R`, `OL`, and a bare number as it is meant; null: nothing of the kind. */
export function typedOhms(text: string, bare: number): number | null {
  if (OPENS.test(text)) return OPEN;
  const m = /^(\d+(?:[.,]\d+)?)\s*([kKmMrR])?(?:Ω|ohms?)?$/.exec(text);
  if (!m) return null;
  const value = Number((m[1] ?? '').replace(',', '.')) * (FACTORS[m[2]?.toLowerCase() ?? ''] ?? (/Ω|ohm/i.test(text) ? 1 : bare));
  return Math.round(value * 1e6) / 1e6;
}
