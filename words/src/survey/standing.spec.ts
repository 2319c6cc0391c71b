import { standingWords } from './standing.js';

describe('how a value stands', () => {
  it('is too low or too high for a number, and outside its target for an answer', () => {
    expect([standingWords('relief', 'high').word, standingWords('relief', 'low').word, standingWords('relief', 'within').word]).toEqual([
      'too high',
      'too low',
      'within target',
    ]);
    expect([standingWords('symptom', 'high').word, standingWords('symptom', 'within').word]).toEqual(['outside target', 'within target']);
  });
});
