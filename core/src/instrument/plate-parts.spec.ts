import { circle, recognise } from '../shape/index.js';
import { plainAnatomy } from '../testing/plan.js';
import { addOpening, changeOpening, openingShape, plateScrews, redrawOpening, removeOpening, withPlateScrews, type Anatomy } from './index.js';

const hangs = (a: Anatomy) => a.positions[0]!;
/** The plain instrument with its plate in a frame of its own, a quarter turned. */
function turned(): Anatomy {
  const a = plainAnatomy();
  const plate = hangs(a).plate;
  return {
    ...a,
    frames: [...a.frames, { id: 'quarter', at: { x: 30, y: 100, turn: 90 } }],
    plates: a.plates.map((p) => (p.id === plate ? { ...p, frame: 'quarter' } : p)),
  };
}

describe('the openings of a plate', () => {
  it('are added in its middle, stated and not measured, small enough for the plate', () => {
    const a = plainAnatomy();
    const { plate } = hangs(a);
    const b = addOpening(a, plate, { id: 'slot', name: 'Slot' });
    const o = b.plates.find((p) => p.id === plate)!.openings.find((x) => x.id === 'slot')!;
    expect(o.outline.basis).toEqual({ kind: 'stated' });
    const middle = recognise(a.plates.find((p) => p.id === plate)!.outline.outline).at;
    expect(recognise(o.outline.outline).at.x).toBeCloseTo(middle.x, 9);
    expect(() => addOpening(b, plate, { id: 'slot', name: 'Again' })).toThrowError(RangeError);
  });

  for (const [name, made] of [
    ['in the body’s frame', plainAnatomy],
    ['in a frame that is turned', turned],
  ] as const) {
    it(`change name, sizes and place as seen on the body, and the pickup goes with the middle: plate ${name}`, () => {
      const a = made();
      const { plate, opening, at } = hangs(a);
      const was = openingShape(a, plate, opening);
      const target = { kind: 'rectangle' as const, at: { x: was.at.x + 3, y: was.at.y - 2 }, width: 66, height: 20, corner: 2 };
      const b = changeOpening(a, plate, opening, { name: 'Wide one', shape: target });
      const now = openingShape(b, plate, opening);
      expect(now.width).toBeCloseTo(66, 6);
      expect(now.kind !== 'circle' && now.height).toBeCloseTo(20, 6);
      expect(now.at.x).toBeCloseTo(target.at.x, 6);
      expect(now.at.y).toBeCloseTo(target.at.y, 6);
      expect(hangs(b).at.x).toBeCloseTo(at.x + 3, 6);
      expect(hangs(b).at.y).toBeCloseTo(at.y - 2, 6);
      const c = redrawOpening(b, plate, opening, { outline: circle(30, { x: 5, y: 90 }), limit: 0.1, basis: { kind: 'sheet', part: 'tracing' } });
      expect(openingShape(c, plate, opening).at.x).toBeCloseTo(5, 6);
      expect(openingShape(c, plate, opening).width).toBeCloseTo(30, 6);
    });
  }

  it('stay while a pickup hangs in them', () => {
    const a = addOpening(plainAnatomy(), hangs(plainAnatomy()).plate, { id: 'slot', name: 'Slot' });
    const { plate, opening } = hangs(a);
    expect(() => removeOpening(a, plate, opening)).toThrowError(/hangs/);
    expect(
      removeOpening(a, plate, 'slot')
        .plates.find((p) => p.id === plate)!
        .openings.some((o) => o.id === 'slot'),
    ).toBeFalse();
    expect(() => removeOpening(a, plate, 'moon')).toThrowError(RangeError);
  });
});

describe('the screw places of a plate', () => {
  it('are stated as seen on the body, whatever frame the plate has, and only on the plate', () => {
    const a = turned();
    const { plate } = hangs(a);
    const [first] = plateScrews(withPlateScrews(a, plate, [{ ...openingShape(a, plate, hangs(a).opening).at, gauge: 4 }]), plate);
    const middle = openingShape(a, plate, hangs(a).opening).at;
    expect(first!.x).toBeCloseTo(middle.x, 9);
    expect(first!.y).toBeCloseTo(middle.y, 9);
    expect(() => withPlateScrews(a, plate, [{ x: 900, y: 0, gauge: 4 }])).toThrowError(/screw 1/);
  });
});
