import type { LengthUnit } from '@rinnovo/core/measure';
import { STATES, type StateId } from '@rinnovo/core/quantity';
import type { Aim, Standing } from '@rinnovo/core/survey';
import { stateText } from './state-text.js';

/** `1.2 to 1.6 mm`, `at most 0.03 mm`; empty where nothing is wanted. */
export function aimText(id: StateId, aim: Aim | null, unit: LengthUnit): string {
  if (!aim || STATES[id].unit === 'choice') return '';
  const text = (v: number): string => stateText(id, v, unit);
  if (aim.min !== null && aim.max !== null) return `${text(aim.min)} to ${text(aim.max)}`;
  if (aim.min !== null) return `at least ${text(aim.min)}`;
  return aim.max !== null ? `at most ${text(aim.max)}` : '';
}

/** One word and one sign for how a value stands: shape and word carry it. */
export const STANDING_WORDS: Readonly<Record<Standing, { readonly word: string; readonly sign: string }>> = {
  within: { word: 'within target', sign: '●' },
  low: { word: 'too low', sign: '▼' },
  high: { word: 'too high', sign: '▲' },
  atEdge: { word: 'at the limit: too close for this tool', sign: '◇' },
};

/** How a value stands: an answer is within its target or outside of it, a number is too low or too high. */
export function standingWords(id: StateId, standing: Standing): { readonly word: string; readonly sign: string } {
  const outside = STATES[id].unit === 'choice' && standing !== 'within';
  return outside ? { word: 'outside target', sign: '✕' } : STANDING_WORDS[standing];
}
