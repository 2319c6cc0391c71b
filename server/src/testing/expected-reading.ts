import type { StepCard } from '@rinnovo/core/gate';
import { usualLimit } from '@rinnovo/core/quantity';

/** What a card asks for, read as it is expected: a length with a tool of the shop, a resistance with the meter; null where it asks for nothing. */
export function expectedReading({ asks }: Pick<StepCard, 'asks'>, tool: string): { value: number; limit: number; raw: string; tool: string } | null {
  if (!asks) return null;
  const value = asks.expected ?? 1;
  const raw = String(value);
  return asks.what === 'resistance' ? { value, limit: usualLimit('partResistance', value), raw, tool: 'meter' } : { value, limit: 0.05, raw, tool };
}
