import { STATES, type StateTarget } from '@rinnovo/core/quantity';
import { SIGN_WORDS, SYMPTOM_WORDS } from '../answers.js';
import { nameOf, type Names } from '../names.js';
import { STATE_WORDS } from './states.js';

/** Where a state is: `string 1 (highest)`, `neck pickup, bass side`. */
export function placeText(t: StateTarget, names: Names): string {
  const q = STATES[t.quantity];
  if (q.of === 'sign') return SIGN_WORDS[t.feature] ?? t.feature;
  if (q.of === 'symptom') return SYMPTOM_WORDS[t.feature] ?? t.feature;
  if (q.of === 'string') return `${t.feature}${t.feature === 'string 1' ? ' (highest)' : ''}`;
  if (q.of === 'pickup' || q.of === 'cavity') return nameOf(names, t.feature);
  if (q.of === 'pickup pair') return `${nameOf(names, t.feature)} and ${nameOf(names, t.part)}`;
  if (q.of === 'pickup side') return `${nameOf(names, t.feature)}, ${t.part ?? ''} side`;
  if (q.of === 'circuit') return t.feature === 'jack' ? (t.part ?? '') : `${nameOf(names, t.feature)}, ${t.part ?? ''}`;
  return t.feature;
}

/** What is read: the quantity, and the place where it has several. */
export function stateTitle(t: StateTarget, names: Names): string {
  const { name } = STATE_WORDS[t.quantity];
  const q = STATES[t.quantity];
  if (q.of === 'sign' || q.of === 'symptom') return placeText(t, names);
  return ['room', 'neck', 'bridge', 'body', 'tremolo', 'battery'].includes(q.of) ? name : `${name}, ${placeText(t, names)}`;
}
