import { STATES, type StateId } from '@rinnovo/core/quantity';
import { HEARD, STOP_SIGNS } from '@rinnovo/core/survey';
import { answersOf, SIGN_WORDS, SYMPTOM_WORDS } from './index.js';

describe('what a survey asks', () => {
  it('has words for every sign and symptom, and for none that is not asked', () => {
    expect(Object.keys(SIGN_WORDS).sort()).toEqual([...STOP_SIGNS].sort());
    expect(Object.keys(SYMPTOM_WORDS).sort()).toEqual(HEARD.map((h) => h.symptom).sort());
  });

  it('has words for every answer of a choice, in the order of its numbers, and none for a number', () => {
    for (const q of Object.values(STATES)) {
      expect(answersOf(q.id)?.length)
        .withContext(q.id)
        .toBe(q.choices?.length as number);
      if (q.choices?.[0] === 'no') expect(answersOf(q.id)).toEqual(['no', 'yes']);
    }
    expect(answersOf('relief' satisfies StateId)).toBeNull();
  });
});
