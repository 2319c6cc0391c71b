import { bounds, circle, moveOutline, recognise, roundedRectangle } from '../shape/index.js';
import { plainAnatomy } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import {
  ADDED_KINDS,
  addFeature,
  boundsOf,
  centreFeature,
  copyFeature,
  describeFeature,
  describeHole,
  dimensionAt,
  featureOf,
  featuresOf,
  firstFeature,
  hangPickup,
  holders,
  mirrorFeature,
  moveFeature,
  placePickup,
  removeFeature,
  repeatFeature,
  reshapeFeature,
  restated,
  startingAnatomy,
  STARTING_KINDS,
  takeOffPickup,
  targetsOf,
  toBody,
  withDimension,
  type Anatomy,
} from './index.js';

const stated = (value: number) => ({ value, limit: 0.25, basis: { kind: 'stated' } }) as const;
const box = (a: Anatomy, id: string) => boundsOf(a, featureOf(a, id)!);
const withHole = (): Anatomy => addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x: 30, y: 200 }));

describe('features of an instrument', () => {
  it('are moved with all their levels, and a plate takes the pickup place in it along', () => {
    const moved = moveFeature(plainAnatomy(), 'plate', 3, -2);
    // 110 × 60 about (0, 110)
    expect(box(moved, 'plate')).toEqual({ minX: -52, maxX: 58, minY: 78, maxY: 138 });
    expect(moved.positions[0]!.at).toEqual({ x: 3, y: 108 });
    expect(bounds([moved.plates[0]!.openings[0]!.outline.outline]).minX).toBeCloseTo(-42.1 + 3, 9);
    expect(() => moveFeature(moved, 'nobody', 1, 1)).toThrowError(RangeError);
  });

  it('move a plate in a frame of its own by its frame', () => {
    const a = plainAnatomy();
    const framed: Anatomy = { ...a, frames: [{ id: 'f', at: { x: 0, y: 0, turn: 90 } }], plates: a.plates.map((p) => ({ ...p, frame: 'f' })) };
    const moved = moveFeature(framed, 'plate', 5, 7);
    expect(moved.frames[0]!.at).toEqual({ x: 5, y: 7, turn: 90 });
    expect(moved.plates[0]!.outline).toBe(framed.plates[0]!.outline);
  });

  it('are copied, mirrored in the centre line, and repeated in a row', () => {
    const a = withHole();
    const row = repeatFeature(
      a,
      'h',
      [
        { id: 'h2', name: 'B' },
        { id: 'h3', name: 'C' },
      ],
      0,
      10.5,
    );
    expect(row.holes.map((h) => [h.name, h.at.y])).toEqual([
      ['Hole', 200],
      ['B', 210.5],
      ['C', 221],
    ]);
    expect(mirrorFeature(a, 'h', { id: 'm', name: 'Other' }).holes[1]!.at).toEqual({ x: -30, y: 200 });
    const pair = mirrorFeature(moveFeature(a, 'route', 12, 0), 'route', { id: 'route 2', name: 'Second' });
    expect([box(pair, 'route 2').minX, box(pair, 'route 2').maxX]).toEqual([-52, 28]);
    const twin = copyFeature(a, 'plate', { id: 'plate 2', name: 'Twin' }, 0, 80);
    expect(twin.plates[1]!.openings[0]!.id).not.toBe('window');
    expect(() => copyFeature(a, 'h', { id: 'route', name: 'x' }, 0, 0)).toThrowError(/there already/);
  });

  it('are put on the centre line', () => {
    const a = centreFeature(moveFeature(plainAnatomy(), 'back', 12.5, 0), 'back');
    expect(box(a, 'back').minX).toBeCloseTo(-20, 9);
  });

  it('are given other sizes by number; what was read of the old ones no longer vouches for them', () => {
    const a = reshapeFeature(plainAnatomy(), 'route', { kind: 'rectangle', at: { x: 1, y: 112 }, width: 90, height: 24, corner: 6 });
    const { outline, across, basis } = a.cavities[1]!.levels[0]!.outline;
    expect(recognise(outline)).toEqual({ kind: 'rectangle', at: { x: 1, y: 112 }, width: 90, height: 24, corner: 6 });
    expect([across, basis]).toEqual([null, { kind: 'stated' }]);
  });

  it('cannot be taken away while a pickup place hangs in them; what they hid then shows', () => {
    const a = withHole();
    expect(() => removeFeature(a, 'plate')).toThrowError(/pickup place/);
    expect(holders(a, 'plate')).toEqual(['here', 'route']);
    const free = removeFeature({ ...a, positions: [] }, 'plate');
    expect(free.cavities.find((c) => c.id === 'route')!.hiddenBy).toBeNull();
    expect(featuresOf(removeFeature(a, 'h')).some((f) => f.id === 'h')).toBeFalse();
  });

  it('have a condition', () => {
    expect(describeFeature(withHole(), 'h', { condition: 'stripped' }).holes[0]!.condition).toBe('stripped');
  });

  it('of a random row of moves end where the moves add up to', () => {
    const random = seeded(31);
    let a = withHole();
    let [x, y] = [30, 200];
    for (let i = 0; i < 200; i++) {
      const [dx, dy] = [random() * 10 - 5, random() * 10 - 5];
      a = moveFeature(a, 'h', dx, dy);
      [x, y] = [x + dx, y + dy];
    }
    expect(a.holes[0]!.at.x).toBeCloseTo(x, 9);
    expect(a.holes[0]!.at.y).toBeCloseTo(y, 9);
  });
});

describe('starting kinds', () => {
  for (const kind of STARTING_KINDS) {
    it(`${kind} has only typical values, each of which can be read`, () => {
      const a = startingAnatomy(kind);
      const targets = targetsOf(a);
      expect(targets.length).toBeGreaterThan(5);
      for (const t of targets) {
        const found = dimensionAt(a, t);
        expect(found.exists).withContext(t.quantity).toBeTrue();
        if (found.exists && found.dimension) expect(found.dimension.basis.kind).toBe('default');
      }
      expect(new Set(featuresOf(a).map((f) => f.id)).size).toBe(featuresOf(a).length);
    });
  }

  it('have their cavities inside the body, and shallower than it', () => {
    for (const kind of STARTING_KINDS) {
      const a = startingAnatomy(kind);
      const b = bounds([a.body.outline!.outline]);
      for (const c of a.cavities.filter((x) => x.kind !== 'neck pocket')) {
        const r = bounds(c.levels.map((p) => toBody(a, c.frame, p.outline.outline)));
        expect(r.minX > b.minX && r.maxX < b.maxX && r.maxY < b.maxY)
          .withContext(`${kind} ${c.id}`)
          .toBeTrue();
        for (const p of c.levels) expect(p.depth!.value).withContext(`${kind} ${c.id}`).toBeLessThan(a.body.thickness!.value);
      }
    }
  });

  it('give every kind of feature sensible first sizes about a place', () => {
    for (const kind of ADDED_KINDS) {
      const a = addFeature(plainAnatomy(), firstFeature(kind, 'new', 'New', 'back', { x: 10, y: 250 }));
      const b = box(a, 'new');
      expect((b.minX + b.maxX) / 2)
        .withContext(kind)
        .toBeCloseTo(10, 9);
      expect((b.minY + b.maxY) / 2)
        .withContext(kind)
        .toBeCloseTo(250, 9);
    }
  });
});

describe('a shape stated by its sizes', () => {
  it('is known again wherever its list of corners begins', () => {
    const r = roundedRectangle(70, 40, 5, { x: 3, y: 4 });
    const turned = { vertices: [...r.vertices.slice(3), ...r.vertices.slice(0, 3)] };
    expect(recognise(turned)).toEqual({ kind: 'rectangle', at: { x: 3, y: 4 }, width: 70, height: 40, corner: 5 });
    expect(recognise(moveOutline(circle(9.5), 2, 2))).toEqual({ kind: 'circle', at: { x: 2, y: 2 }, width: 9.5 });
  });
});

describe('a copy of an instrument', () => {
  it('has the same sizes as hearsay: nothing on it was read', () => {
    const a = plainAnatomy();
    const copy = restated(a);
    const bases = new Set([...JSON.stringify(copy).matchAll(/"basis":\{"kind":"(\w+)"/g)].map((m) => m[1]));
    expect([...bases]).toEqual(['stated']);
    expect(copy.cavities[1]!.levels[0]!.outline.outline).toEqual(a.cavities[1]!.levels[0]!.outline.outline);
    expect(copy.body.thickness!.value).toBe(44);
    expect(restated(startingAnatomy('bass'))).toEqual(startingAnatomy('bass'));
  });
});

describe('a place for a pickup', () => {
  const bare = (): Anatomy => ({ ...plainAnatomy(), positions: [] });

  it('hangs in the plate’s opening over the route, where there is one', () => {
    const a = placePickup(bare(), 'route', 'plate', 'p', 'Pickup');
    expect(a.positions).toEqual([{ id: 'p', name: 'Pickup', cavity: 'route', plate: 'plate', opening: 'window', at: { x: 0, y: 110 }, part: null }]);
    expect(a.plates).toEqual(bare().plates);
  });

  it('gets a typical opening over its middle otherwise, in the plate’s own frame, and is hidden by the plate', () => {
    const moved = moveFeature(
      { ...bare(), plates: bare().plates.map((p) => ({ ...p, openings: [] })), cavities: bare().cavities.map((c) => ({ ...c, hiddenBy: null })) },
      'route',
      2,
      5,
    );
    const a = placePickup(moved, 'route', 'plate', 'p', 'Pickup');
    const b = bounds([a.plates[0]!.openings[0]!.outline.outline]);
    expect([(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]).toEqual([2, 115]);
    expect(a.plates[0]!.openings[0]!.outline.basis.kind).toBe('default');
    expect(a.cavities.find((c) => c.id === 'route')!.hiddenBy).toBe('plate');
  });

  it('gets its opening where it lies, in a plate that is turned too', () => {
    const a = bare();
    const turned: Anatomy = {
      ...a,
      frames: [{ id: 'f', at: { x: 7, y: 100, turn: 90 } }],
      plates: a.plates.map((p) => ({ ...p, frame: 'f', outline: { ...p.outline, outline: roundedRectangle(120, 120, 2, { x: 0, y: 0 }) }, openings: [] })),
    };
    const made = placePickup(turned, 'route', 'plate', 'p', 'Pickup');
    const b = bounds([toBody(made, 'f', made.plates[0]!.openings[0]!.outline.outline)]);
    expect([b.maxX - b.minX, b.maxY - b.minY, (b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2].map((n) => Math.round(n * 1e6) / 1e6)).toEqual([70, 39, 0, 110]);
  });

  it('is hung in a plate that came later, and taken off again', () => {
    const guard = firstFeature('guard', 'guard', 'Guard', 'top', { x: 0, y: 110 });
    const plain = plainAnatomy();
    const a = addFeature({ ...plain, positions: plain.positions.map((p) => ({ ...p, part: null })) }, guard);
    const hung = hangPickup(a, 'here', 'guard');
    const place = hung.positions.find((p) => p.id === 'here')!;
    expect(place.plate).toBe('guard');
    const now = hung.plates.find((p) => p.id === 'guard')!;
    const window = now.openings.find((o) => o.id === place.opening)!;
    const b = bounds([toBody(hung, now.frame, window.outline.outline)]);
    expect([(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]).toEqual([place.at.x, place.at.y]);
    // the old plate keeps its opening; hung back, the pickup hangs in that very one
    expect(hung.plates.find((p) => p.id === 'plate')!.openings).toEqual(a.plates.find((p) => p.id === 'plate')!.openings);
    const back = hangPickup(hung, 'here', 'plate');
    expect(back.positions).toEqual(a.positions);
    expect(hangPickup(a, 'here', 'plate')).toBe(a);
    const off = takeOffPickup(hung, 'here');
    expect(off.positions.some((p) => p.id === 'here')).toBe(false);
    expect([off.cavities, off.plates]).toEqual([hung.cavities, hung.plates]);
  });

  it('is not hung in what is not there, nor taken off under its part', () => {
    expect(() => hangPickup(plainAnatomy(), 'here', 'moon')).toThrowError(/moon/);
    expect(() => hangPickup(plainAnatomy(), 'moon', 'plate')).toThrowError(/moon/);
    const a = plainAnatomy();
    const fitted = { ...a, positions: a.positions.map((p) => ({ ...p, part: 'coil' })) };
    expect(() => takeOffPickup(fitted, 'here')).toThrowError(/part sits/);
  });

  it('is not made twice, nor of what is not there', () => {
    expect(() => placePickup(plainAnatomy(), 'route', 'plate', 'p', 'P')).toThrowError(/already/);
    expect(() => placePickup(bare(), 'route', 'moon', 'p', 'P')).toThrowError(/moon/);
    expect(() => placePickup(bare(), 'plate', 'plate', 'p', 'P')).toThrowError(RangeError);
  });
});

describe('a hole', () => {
  it('is for something else, and has no depth once it goes through', () => {
    const blind = withDimension(describeHole(withHole(), 'h', { kind: 'stud', through: false }), { quantity: 'holeDepth', feature: 'h' }, stated(18));
    const of = (a: Anatomy) => a.holes.find((h) => h.id === 'h')!;
    expect([of(blind).kind, of(blind).through, of(blind).depth?.value]).toEqual(['stud', false, 18]);
    const open = describeHole(blind, 'h', { kind: 'screw', through: true });
    expect([of(open).kind, of(open).through, of(open).depth]).toEqual(['screw', true, null]);
    expect(() => describeHole(blind, 'moon', { kind: 'pot', through: true })).toThrowError(/moon/);
  });
});
