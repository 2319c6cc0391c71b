import type { Basis, Dimension } from '@rinnovo/core/measure';

/** How a size comes to be known, with the limit of error that goes with it, mm [trade: docs/trade/part.md, Tools; a sheet from memory]. */
export const WAYS = [
  { id: 'calliper', word: 'Calliper, ±0.05', limit: 0.05 },
  { id: 'rule', word: 'Steel rule, ±0.25', limit: 0.25 },
  { id: 'sheet', word: 'The part’s sheet, ±0.1', limit: 0.1 },
  { id: 'listing', word: 'A listing, ±1.0', limit: 1 },
] as const;
export type Way = (typeof WAYS)[number]['id'];

/** A value as that way makes it known. */
export function knownBy(way: Way, value: number, part: string): Dimension {
  const { limit } = WAYS.find((w) => w.id === way) ?? WAYS[0];
  return { value, limit, basis: basisOf(way, part) };
}

function basisOf(way: Way, part: string): Basis {
  if (way === 'sheet') return { kind: 'sheet', part };
  return way === 'listing' ? { kind: 'stated' } : { kind: 'measured', tool: way };
}
