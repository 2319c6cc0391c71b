import { dim, plainAnatomy } from '../testing/plan.js';
import { bounds } from '../shape/index.js';
import {
  addFeature,
  compareFeatures,
  firstFeature,
  layersOf,
  layersOfFeature,
  moveFeature,
  placeHoleOn,
  removeFeature,
  reshapeFeature,
  sideLayers,
  sideStrip,
  type Anatomy,
} from './index.js';

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
      ['Inserts', 1],
      ['Holes', 1],
    ]);
    expect(count('back')).toEqual([
      ['Body', 1],
      ['Cavities', 1],
    ]);
    expect(count('top', 'plate')).toEqual([
      ['Plates', 1],
      ['Openings', 1],
      ['Inserts', 1],
    ]);
    expect(count('top', 'nobody')).toEqual([]);
  });

  it('hold the screws of a plate and the holes of headstock and board', () => {
    const a = plainAnatomy();
    const screwed = {
      ...a,
      plates: a.plates.map((p) => ({
        ...p,
        screws: [
          { x: 0, y: 0, gauge: 4 },
          { x: 10, y: 0, gauge: 4 },
        ],
      })),
    };
    expect(layersOf(screwed, 'top').find((l) => l.name === 'Screws')?.outlines.length).toBe(2);
    const tuner = placeHoleOn(addFeature(a, firstFeature('hole', 't', 'Tuner', 'top', { x: 10, y: 200 })), 't', 'headstock back');
    expect(layersOf(tuner, 'back').find((l) => l.name === 'Holes')?.outlines.length).toBe(1);
    expect(layersOf(tuner, 'top').find((l) => l.name === 'Holes')).toBeUndefined();
  });

  it('hold the body from the side with its holes, each level down from its own face', () => {
    const a = placeHoleOn(addFeature(plainAnatomy(), firstFeature('hole', 'j', 'Jack', 'top', { x: 10, y: 200 })), 'j', 'side');
    const [body, cavities, holes] = sideLayers({ ...a, body: { ...a.body, thickness: dim(44) } });
    const strip = sideStrip(a);
    const box = bounds([body!.outlines[0]!.outline]);
    expect([box.minX, box.maxX, box.minY - strip.from, box.maxY - strip.to].map((n) => Math.round(n * 1e6) / 1e6 + 0)).toEqual([0, 44, 0, 0]);
    expect(cavities?.outlines.map((o) => bounds([o.outline])).map((b) => [b.minX, b.maxX])).toContain([30, 44]);
    expect(holes?.outlines.map((o) => o.name)).toEqual(['Jack']);
    expect(layersOfFeature(a, 'j').map((l) => l.name)).toEqual(['Holes']);
    expect(layersOfFeature(a, 'plate').map((l) => l.name)).toEqual(['Plates', 'Openings', 'Inserts']);
    expect(layersOfFeature(a, 'nobody')).toEqual([]);
  });
});
