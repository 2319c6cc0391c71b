import type { LengthUnit } from '@rinnovo/core/measure';
import { STATES, type StateId } from '@rinnovo/core/quantity';
import { improbable, type Difference, type TypedState } from '@rinnovo/core/survey';
import { choiceText } from '../answers.js';
import { inUnit } from '../in-unit.js';

/** A state's value with its unit. */
export function stateText(id: StateId, value: number, unit: LengthUnit): string {
  const q = STATES[id];
  return q.unit === 'choice' ? choiceText(id, value) : inUnit(value, q, unit);
}

/** What is said to a value that hardly can be; null where there is nothing to challenge. */
export function improbableText(id: StateId, value: number, unit: LengthUnit): string | null {
  const found = improbable(id, value);
  if (!found) return null;
  const said = `${stateText(id, value, unit)} is unlikely`;
  return found.meant === null ? said : `${said}. Did you mean ${stateText(id, found.meant, unit)}?`;
}

/** `+0.10 mm (± 0.06)`: a change with what both tools can be wrong by; empty where there is none to tell. */
export function changeText({ target, change, limit }: Difference, unit: LengthUnit): string {
  if (change === null || limit === null) return '';
  const size = (v: number): string => stateText(target.quantity, v, unit);
  return `${change < 0 ? '−' : '+'}${size(Math.abs(change))} (± ${size(limit)})`;
}

/** Why a text is no value of a state; null when it is one or there is none. */
export function typedProblem(id: StateId, typed: TypedState, unit: LengthUnit): string | null {
  if (typed.kind !== 'wrong') return null;
  const q = STATES[id];
  if (!('value' in typed)) return typed.because === 'not a length' ? 'Not a length. Try 1.6, 1/16 or 2thou.' : `Not a number in ${q.unit}.`;
  return `${stateText(id, typed.value, unit)} is impossible. Range: ${stateText(id, q.min, unit)} to ${stateText(id, q.max, unit)}`;
}
