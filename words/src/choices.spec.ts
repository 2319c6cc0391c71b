import { HOLE_FACES } from '@rinnovo/core/instrument';
import { LISTS } from '@rinnovo/core/house';
import { STATES } from '@rinnovo/core/quantity';
import { FACE_WORDS, STATE_TOOL_WORDS, TRAIT_VALUE_WORDS } from './index.js';

describe('what is chosen from a list', () => {
  it('has words for every trait of every kind of part, every face and every tool of a survey, and for none besides', () => {
    const values = Object.values(LISTS.partKinds).flatMap((row) => Object.values(row.traits ?? {}).flat());
    expect(Object.keys(TRAIT_VALUE_WORDS).sort()).toEqual([...new Set(values)].sort());
    expect(Object.keys(FACE_WORDS).sort()).toEqual([...HOLE_FACES].sort());
    // the stand-in for a meter reads whatever a meter reads
    const tools = new Set<string>([...Object.values(STATES).map((q) => q.by), 'simulated meter']);
    expect(Object.keys(STATE_TOOL_WORDS).filter((t) => !tools.has(t))).toEqual([]);
  });
});
