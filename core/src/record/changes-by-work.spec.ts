import { applyChanges, compareAnatomies, withDimension, type Anatomy, type Change, type Difference } from '../instrument/index.js';
import { roundedRectangle } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { dim, edge, plainAnatomy } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { changesByWork, type WorkStep } from './index.js';

const start: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8), hole('tone', 'pot', 8)] };
const worked = (a: Anatomy, ...changes: readonly Change[]): WorkStep => ({ before: a, after: applyChanges(a, changes) });
const sized = (id: string, value: number): Change => ({ kind: 'sizeHole', hole: id, by: 'drill', diameter: dim(value) });
const fitted = (feature: string, part: string | null): Change => ({ kind: 'fitHardware', feature, part });
const thickness = { quantity: 'bodyThickness', feature: 'body' } as const;
const texts = (list: readonly Difference[]): readonly string[] => list.map((d) => JSON.stringify(d)).sort();

describe('what work has changed', () => {
  it('is not what was measured or drawn between', () => {
    const first = worked(start, sized('volume', 9.7));
    const measured = withDimension(first.after, thickness, dim(43.6));
    const drawn = { ...measured, holes: [...measured.holes, hole('was there', 'pot', 6)] };
    const second = worked(drawn, sized('volume', 10), fitted('volume', 'pot'));
    expect(changesByWork([first, second])).toEqual([
      jasmine.objectContaining({ kind: 'resized', before: 8, after: 10, beyond: true }),
      { kind: 'partChanged', place: 'volume', before: null, after: 'pot' },
    ]);
    expect(changesByWork([])).toEqual([]);
    // a comparison of the two ends says more than was done
    expect(compareAnatomies(start, second.after).map((d) => d.kind)).toEqual(['holeAdded', 'partChanged', 'resized', 'resized']);
  });

  it('is nothing that was undone again', () => {
    const levels = [{ id: 'cut', outline: edge(roundedRectangle(30, 20, 3)), depth: dim(12), set: 'planned d', bored: false }];
    const there = worked(start, { kind: 'addLevels', cavity: 'route', levels }, fitted('tone', 'pot'), sized('tone', 9));
    const back = worked(there.after, { kind: 'fillLevels', cavity: 'route', set: 'planned d' }, fitted('tone', null));
    const narrowed = worked(back.after, { kind: 'sizeHole', hole: 'tone', by: 'sleeve', diameter: dim(8) });
    expect(changesByWork([there]).map((d) => d.kind)).toEqual(['levelAdded', 'partChanged', 'resized']);
    expect(changesByWork([there, back, narrowed])).toEqual([]);
  });

  it('is what the two ends differ in where nothing else came between: 60 seeded sequences of work', () => {
    const r = seeded(29);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(r() * list.length)]!;
    for (let i = 0; i < 60; i++) {
      const steps: WorkStep[] = [];
      for (let n = 2 + Math.floor(r() * 8); n > 0; n--) {
        const id = pick(['volume', 'tone']);
        const acts: readonly Change[] = [
          sized(id, pick([8, 8.5, 9.7, 10])),
          fitted(id, pick([null, 'a', 'b'])),
          { kind: 'raiseCover', cavity: 'back', by: dim(pick([0, 1.5, 3])) },
        ];
        steps.push(worked(steps.at(-1)?.after ?? start, pick(acts)));
      }
      expect(texts(changesByWork(steps)))
        .withContext(String(i))
        .toEqual(texts(compareAnatomies(start, steps.at(-1)!.after)));
    }
  });
});
