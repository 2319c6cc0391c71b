import { changedAspects, knownAt, sameRevisions } from './index.js';

describe('how far an instrument is known', () => {
  it('is a number for each aspect, 0 where nothing is known', () => {
    expect(knownAt({ anatomy: 3, strung: 1 })).toEqual({ anatomy: 3, circuit: 0, strung: 1, surface: 0 });
  });

  it('is the same only when every aspect is', () => {
    const a = knownAt({ anatomy: 3 });
    expect(sameRevisions(a, knownAt({ anatomy: 3 }))).toBeTrue();
    for (const more of [{ anatomy: 4 }, { anatomy: 3, circuit: 1 }, { anatomy: 3, strung: 1 }, { anatomy: 3, surface: 1 }]) {
      expect(sameRevisions(a, knownAt(more))).toBeFalse();
      expect(changedAspects(a, knownAt(more)).length).toBe(1);
    }
    expect(changedAspects(a, knownAt({ circuit: 2 }))).toEqual(['anatomy', 'circuit']);
  });
});
