import { sameAgain } from './same-again';

describe('what is said again', () => {
  const before = { at: { x: 1, y: 2 }, levels: [{ id: 'main', outline: { vertices: [{ x: 0, y: 0 }] } }], part: null as string | null };

  it('is the very thing that was said before, whole or in its pieces', () => {
    expect(sameAgain(before, structuredClone(before))).toBe(before);
    const moved = { ...structuredClone(before), at: { x: 1, y: 3 } };
    const now = sameAgain(before, moved);
    expect(now).toEqual(moved);
    expect(now.levels).toBe(before.levels);
    expect(now.at).not.toBe(before.at);
  });

  it('is what is said now wherever it differs: more, less, another kind, a value that is not there', () => {
    const told = (was: unknown, is: unknown): void => {
      expect(sameAgain(was, is)).toEqual(is);
      if (typeof is === 'object') expect(sameAgain(was, is) as unknown).not.toBe(was);
    };
    told([1, 2], [1, 2, 3]);
    told([1, 2, 3], [1, 2]);
    told({ a: 1, b: 2 }, { a: 1 });
    told({ a: 1 }, { a: 1, b: undefined });
    told({ b: undefined }, { a: undefined });
    told([], {});
    told({ 0: 1 }, [1]);
    told(null, { a: 1 });
    told({ a: 1 }, null);
    told('1', 1);
    told({ a: { b: [0] } }, { a: { b: [-1] } });
  });

  it('keeps the pieces of lists in which one has changed', () => {
    const list = [{ id: 'a' }, { id: 'b' }];
    const now = sameAgain(list, [{ id: 'a' }, { id: 'c' }]);
    expect(now).toEqual([{ id: 'a' }, { id: 'c' }]);
    expect(now[0]).toBe(list[0]!);
  });
});
