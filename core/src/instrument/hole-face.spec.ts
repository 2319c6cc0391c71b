import { dim, plainAnatomy } from '../testing/plan.js';
import { addFeature, boundsOf, featureOf, firstFeature, HOLE_FACES, placeHoleOn, sideShadows, sideStrip, startingAnatomy, type Anatomy } from './index.js';

const holed = (): Anatomy => addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x: 20, y: 150 }));
const middle = (a: Anatomy): readonly number[] => {
  const b = boundsOf(a, featureOf(a, 'h')!);
  return [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2].map((n) => Math.round(n * 1e6) / 1e6);
};

describe('the face of a hole', () => {
  it('changes and the hole stays where it is seen, in the frame of that face', () => {
    for (const face of HOLE_FACES.filter((f) => f !== 'side')) {
      const moved = placeHoleOn(holed(), 'h', face);
      expect(middle(moved)).withContext(face).toEqual([20, 150]);
      expect(moved.holes.find((h) => h.id === 'h')!.face).toBe(face);
    }
    // the headstock's frame begins at the nut, 400 before the mouth
    expect(placeHoleOn(holed(), 'h', 'headstock back').holes.find((h) => h.id === 'h')!.at).toEqual({ x: 20, y: 550 });
    expect(() => placeHoleOn(holed(), 'moon', 'side')).toThrowError(RangeError);
  });

  it('is the side: half-way down, at the same place along, and back onto the centre line', () => {
    const side = placeHoleOn(holed(), 'h', 'side');
    expect(middle(side)).toEqual([sideStrip(side).depth / 2, 150]);
    expect(middle(placeHoleOn(side, 'h', 'top'))).toEqual([0, 150]);
  });
});

describe('the side of a body', () => {
  it('shows every level from its own face', () => {
    const a = plainAnatomy();
    const thick = { ...a, body: { ...a.body, thickness: dim(44) } };
    // top route 18 deep, back cavity 14 deep: 0–18 and 30–44
    const depths = sideShadows(thick).map((s) => [s.from, s.to]);
    expect(depths).toContain([0, 18]);
    expect(depths).toContain([30, 44]);
    const unknown = { ...thick, cavities: thick.cavities.map((c) => ({ ...c, levels: c.levels.map((p) => ({ ...p, depth: null })) })) };
    expect(sideShadows(unknown)).toEqual([]);
    expect(sideStrip({ ...a, body: { ...a.body, thickness: null } }).depth).toBe(44);
  });

  it('has the end pin of an acoustic in its middle, at the end of the body', () => {
    const a = startingAnatomy('flat-top acoustic');
    const pin = a.holes.find((h) => h.face === 'side')!;
    expect(pin.at.x).toBe(sideStrip(a).depth / 2);
    expect(pin.at.y).toBeCloseTo(sideStrip(a).to, 2);
  });
});
