import { recognise } from '../shape/index.js';
import { dim, plainAnatomy } from '../testing/plan.js';
import { addFeature, boundsOf, edgeNear, featureOf, firstFeature, handlesOf, snap, snapLines, stretchFeature, stringsAt, type Anatomy } from './index.js';

const added = (kind: Parameters<typeof firstFeature>[0], at = { x: 10, y: 300 }): Anatomy =>
  addFeature(plainAnatomy(), firstFeature(kind, 'new', 'New', 'top', at));
const box = (a: Anatomy): readonly number[] => {
  const b = boundsOf(a, featureOf(a, 'new')!);
  return [b.minX, b.maxX, b.minY, b.maxY].map((n) => Math.round(n * 1e6) / 1e6);
};

describe('a feature pulled by a handle', () => {
  it('keeps its opposite side and its corners, and is stated from then on', () => {
    const a = added('plate');
    const [minX, maxX, minY, maxY] = box(a) as [number, number, number, number];
    const b = stretchFeature(a, 'new', { across: 1, along: -1 }, { x: maxX + 4.321, y: minY - 2 });
    expect(box(b)).toEqual([minX, Math.round((maxX + 4.32) * 1e6) / 1e6, minY - 2, maxY]);
    const shape = recognise(b.plates.find((p) => p.id === 'new')!.outline.outline);
    expect(shape.kind).toBe('rectangle');
    expect(b.plates.find((p) => p.id === 'new')!.outline.basis).toEqual({ kind: 'stated' });
    expect(stretchFeature(a, 'new', { across: 0, along: 1 }, { x: 999, y: maxY + 1 }).plates.find((p) => p.id === 'new')!.outline.outline).not.toBe(
      a.plates.find((p) => p.id === 'new')!.outline.outline,
    );
    expect(box(stretchFeature(a, 'new', { across: 0, along: 1 }, { x: 999, y: maxY + 1 }))).toEqual([minX, maxX, minY, maxY + 1]);
  });

  it('never turns inside out', () => {
    const a = added('pickup route');
    const [minX, , minY] = box(a) as [number, number, number];
    const b = stretchFeature(a, 'new', { across: 1, along: 1 }, { x: minX - 50, y: minY - 50 });
    expect(box(b)[1]! - box(b)[0]!).toBeCloseTo(0.5, 6);
  });

  it('keeps the middle of a hole; what a tool read has no handle', () => {
    const a = added('hole');
    const h = a.holes.find((x) => x.id === 'new')!;
    const b = stretchFeature(a, 'new', { across: 1, along: 0 }, { x: h.at.x + 3, y: h.at.y + 4 });
    expect(b.holes.find((x) => x.id === 'new')!.diameter!.value).toBe(10);
    expect(b.holes.find((x) => x.id === 'new')!.at).toEqual(h.at);
    expect(handlesOf(b, 'new').map((x) => [x.across, x.along])).toEqual([[1, 0]]);
    const read = {
      ...a,
      holes: a.holes.map((x) => (x.id === 'new' ? { ...x, diameter: { ...dim(8), basis: { kind: 'readings' as const, ids: ['r'] } } } : x)),
    };
    expect(handlesOf(read as Anatomy, 'new')).toEqual([]);
    expect(handlesOf(added('plate'), 'new').length).toBe(8);
    expect(() => stretchFeature(a, 'moon', { across: 1, along: 0 }, { x: 0, y: 0 })).toThrowError(RangeError);
  });
});

describe('snapping', () => {
  it('takes the nearest edge to the nearest line within reach, and nothing beyond it', () => {
    expect(snap([9.6, 20], [0, 10, 20.3], 0.5)).toEqual({ by: 20.3 - 20, line: 20.3 });
    expect(snap([9.6, 20], [0, 10, 21], 0.5).by).toBeCloseTo(0.4, 9);
    expect(snap([9.4], [10], 0.5)).toEqual({ by: 0, line: null });
  });

  it('knows the centre line, the mouth, the bridge line and the others of that face, not the one that is moved', () => {
    const a = added('plate');
    const lines = snapLines(a, 'top', 'new');
    expect(lines.across).toContain(0);
    // scale 640, nut to mouth 400
    expect(lines.along).toContain(240);
    const own = box(a);
    expect(snapLines(a, 'top', 'other').across).toContain(own[0]!);
    expect(lines.across).not.toContain(own[0]!);
    expect(snapLines(a, 'back', 'other').across).not.toContain(own[0]!);
  });
});

describe('the edge that a finger means', () => {
  it('is the nearest side of a feature, or the nearest datum', () => {
    const a = added('plate');
    const [minX, maxX, minY, maxY] = box(a) as [number, number, number, number];
    expect(edgeNear(a, 'new', 'across', { x: minX + 1, y: 0 })).toEqual({ of: 'new', side: 'low' });
    expect(edgeNear(a, 'new', 'across', { x: (minX + maxX) / 2 + 1, y: 0 })).toEqual({ of: 'new', side: 'middle' });
    expect(edgeNear(a, 'new', 'along', { x: 0, y: maxY - 0.5 })).toEqual({ of: 'new', side: 'high' });
    expect(edgeNear(a, 'new', 'along', { x: 0, y: minY })).toEqual({ of: 'new', side: 'low' });
    expect(edgeNear(a, null, 'across', { x: 40, y: 0 })).toEqual({ of: 'centre line', side: 'middle' });
    expect(edgeNear(a, null, 'along', { x: 0, y: -350 })).toEqual({ of: 'nut', side: 'middle' });
    expect(edgeNear(a, 'body', 'along', { x: 0, y: 10 })).toEqual({ of: 'pocket mouth', side: 'middle' });
    expect(edgeNear({ ...a, neck: { ...a.neck, nutToMouth: null } }, null, 'along', { x: 0, y: -350 }).of).toBe('pocket mouth');
  });
});

describe('the strings', () => {
  it('run evenly between the outer ones: 35.5 to 52.5 over 635, 485 from the nut, 48.48 apart', () => {
    const a = {
      ...plainAnatomy(),
      strings: { count: 6, spreadAtNut: dim(35.5), spreadAtSaddles: dim(52.5) },
      neck: { ...plainAnatomy().neck, scale: dim(635), nutToMouth: dim(392) },
    };
    const x = stringsAt(a, 93)!;
    expect(x.length).toBe(6);
    expect(x[5]! - x[0]!).toBeCloseTo(48.484, 3);
    expect(x[1]! - x[0]!).toBeCloseTo(48.484 / 5, 3);
    expect(stringsAt({ ...a, neck: { ...a.neck, scale: null } }, 93)).toBeNull();
  });
});
