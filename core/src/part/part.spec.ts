import { HOUSE, typicalHardware } from '../house/index.js';
import { isMeasured } from '../measure/index.js';
import { bounds, roundedRectangle, type Outline } from '../shape/index.js';
import {
  freeOf,
  partProblems,
  PICKUP_KINDS,
  replacementOf,
  replacementsFirst,
  SIZES,
  stockOf,
  typicalPickup,
  type Hardware,
  type SizeId,
  type StockItem,
} from './index.js';

const eight: Outline = {
  vertices: [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 })),
};
const plate = (outline: Outline, opening: Outline): Hardware => {
  const drawn = (o: Outline) => ({ outline: o, limit: 0.1, basis: { kind: 'stated' as const } });
  return { ...typicalHardware('plate', 'p', 'Plate'), shape: { outline: drawn(outline), openings: [{ id: 'window', shape: drawn(opening) }], screws: [] } };
};

describe('a part as it usually is', () => {
  it('is never good enough to cut on', () => {
    for (const kind of Object.keys(HOUSE.partKinds))
      for (const d of Object.values(typicalHardware(kind, 'x', kind).sizes)) expect(isMeasured(d!)).withContext(kind).toBeFalse();
    for (const kind of PICKUP_KINDS) {
      const p = typicalPickup(kind, 'x', kind);
      const all = [p.poles.spacing, p.screws.lowest, ...p.tiers.map((l) => l.lowest), ...p.tiers.flatMap((l) => l.shapes)];
      for (const d of all) expect(isMeasured(d)).withContext(kind).toBeFalse();
    }
  });

  it('lies within what can be at all', () => {
    for (const kind of Object.keys(HOUSE.partKinds)) {
      const part = typicalHardware(kind, 'x', kind, 6);
      for (const [id, d] of Object.entries(part.sizes)) {
        const [min, max] = SIZES[id as SizeId];
        expect(d!.value).withContext(`${kind} ${id}`).toBeGreaterThanOrEqual(min);
        expect(d!.value).withContext(`${kind} ${id}`).toBeLessThanOrEqual(max);
        expect(Object.keys(HOUSE.partKinds[kind]!.sizes)).toContain(id);
      }
    }
  });

  it('of a two-coil kind has ears beyond its base and points below its ears', () => {
    const p = typicalPickup('humbucker', 'x', 'two coils');
    const [base, ears] = ['base', 'ears'].map((id) => p.tiers.find((l) => l.id === id)!);
    const over = (l: typeof base): number => bounds(l!.shapes.map((s) => s.outline)).maxX * 2;
    expect(over(base)).toBeCloseTo(69.5, 6);
    expect(over(ears)).toBeCloseTo(84, 6);
    expect(p.screws.lowest.value).toBeGreaterThan(ears!.lowest.value);
    expect(ears!.lowest.value).toBeGreaterThan(base!.lowest.value);
  });
});

describe('what cannot be of a part', () => {
  it('is an outline that crosses itself', () => {
    expect(partProblems(plate(eight, roundedRectangle(2, 2, 0)), {})).toEqual([{ kind: 'crossesItself', outline: 'outline' }]);
  });

  it('is an opening that breaks through the edge', () => {
    expect(partProblems(plate(roundedRectangle(40, 20, 2), roundedRectangle(30, 22, 2)), {})).toEqual([{ kind: 'openingOutside', opening: 'window' }]);
    expect(partProblems(plate(roundedRectangle(40, 20, 2), roundedRectangle(30, 12, 2)), {})).toEqual([]);
  });

  it('is a replacement that leads back to itself, or to nothing', () => {
    const a = { ...typicalHardware('pot', 'a', 'A'), replacedBy: 'b' };
    const b = { ...typicalHardware('pot', 'b', 'B'), replacedBy: 'c' };
    const c = typicalHardware('pot', 'c', 'C');
    expect(partProblems({ ...c, replacedBy: 'c' }, { c })).toEqual([{ kind: 'replacesItself', chain: ['c', 'c'] }]);
    expect(partProblems({ ...c, replacedBy: 'a' }, { a, b, c })).toEqual([{ kind: 'replacesItself', chain: ['c', 'a', 'b', 'c'] }]);
    expect(partProblems({ ...c, replacedBy: 'gone' }, { c })).toEqual([{ kind: 'noSuchReplacement', part: 'gone' }]);
    expect(partProblems(a, { a, b, c })).toEqual([]);
    expect(replacementOf('a', { a, b, c })).toBe('c');
    expect(replacementsFirst([a, b, c]).map((p) => p.id)).toEqual(['c', 'b', 'a']);
    expect(replacementsFirst([c, a]).map((p) => p.id)).toEqual(['c', 'a']);
    expect(() => replacementOf('a', { a, b: { ...b, replacedBy: 'a' } })).toThrowError(RangeError);
  });
});

describe('what lies in a drawer', () => {
  const drawer = (quantity: number, reserved: Readonly<Record<string, number>> = {}): StockItem => ({
    id: 's',
    kind: 'part',
    part: 'pot',
    quantity,
    drawer: '',
    reserved,
  });

  it('is free where no other decision keeps it: of two, one kept for another leaves one, and both for whoever kept it', () => {
    const stock = [drawer(2, { mine: 1 })];
    expect([stockOf(stock, 'pot'), freeOf(stock, 'pot'), freeOf(stock, 'pot', 'mine'), freeOf(stock, 'other')]).toEqual([2, 1, 2, 0]);
    // more kept than there are is none to spare, not less than none
    expect(freeOf([drawer(1, { a: 1, b: 1 })], 'pot', 'a')).toBe(0);
    expect(freeOf([drawer(1, { a: 1, b: 1 }), drawer(1)], 'pot')).toBe(1);
  });
});
