import { plainAnatomy } from '../testing/plan.js';
import { addFeature, compareFeatures, firstFeature, layersOf, moveFeature, removeFeature, reshapeFeature, type Anatomy } from './index.js';

const free = (): Anatomy => ({ ...plainAnatomy(), positions: [] });

describe('two states of an instrument compared', () => {
  it('have nothing to tell where nothing changed', () => {
    expect(compareFeatures(plainAnatomy(), structuredClone(plainAnatomy()))).toEqual([]);
  });

  it('tell what was added, taken away, moved and resized, each once', () => {
    const before = free();
    let after = addFeature(before, firstFeature('hole', 'h', 'New hole', 'top', { x: 10, y: 200 }));
    after = moveFeature(after, 'back', 3, -2);
    after = reshapeFeature(after, 'plate', { kind: 'rectangle', at: { x: 1, y: 110 }, width: 114, height: 58, corner: 4 });
    after = removeFeature(after, 'pocket');
    expect(compareFeatures(before, after)).toEqual([
      { kind: 'moved', id: 'plate', name: 'Plate', across: 1, along: 0 },
      { kind: 'resized', id: 'plate', name: 'Plate', wider: 4, longer: -2 },
      { kind: 'moved', id: 'back', name: 'Back', across: 3, along: -2 },
      { kind: 'added', id: 'h', name: 'New hole' },
      { kind: 'gone', id: 'pocket', name: 'Pocket' },
    ]);
  });

  it('do not take another kind of feature under an old name for the same', () => {
    const without = removeFeature(free(), 'back');
    const swapped = addFeature(without, firstFeature('hole', 'back', 'Back', 'back', { x: 0, y: 130 }));
    expect(compareFeatures(free(), swapped).map((c) => c.kind)).toEqual(['added', 'gone']);
  });
});

describe('the layers of a drawing', () => {
  it('hold one face by what its features are, or one feature alone', () => {
    const a = addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x: 10, y: 200 }));
    const count = (face: 'top' | 'back', only: string | null = null): readonly (readonly [string, number])[] =>
      layersOf(a, face, only).map((l) => [l.name, l.outlines.length] as const);
    expect(count('top')).toEqual([
      ['Body', 1],
      ['Cavities', 2],
      ['Plates', 1],
      ['Openings', 1],
      ['Holes', 1],
    ]);
    expect(count('back')).toEqual([
      ['Body', 1],
      ['Cavities', 1],
    ]);
    expect(count('top', 'plate')).toEqual([
      ['Plates', 1],
      ['Openings', 1],
    ]);
    expect(count('top', 'nobody')).toEqual([]);
  });
});
