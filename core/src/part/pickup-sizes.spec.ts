import type { Dimension } from '../measure/index.js';
import { bounds } from '../shape/index.js';
import { partProblems, PICKUP_FIELD_IDS, PICKUP_FIELDS, PICKUP_KINDS, pickupWithSizes, sizesOfPickup, typicalPickup } from './index.js';

const read = (value: number): Dimension => ({ value, limit: 0.05, basis: { kind: 'measured', tool: 'calliper' } });

describe('the numbers of a pickup', () => {
  const typical = typicalPickup('humbucker', 'x', 'two coils');

  it('said again change nothing of its shape', () => {
    for (const kind of PICKUP_KINDS) {
      const p = typicalPickup(kind, 'x', kind);
      const again = sizesOfPickup(pickupWithSizes(p, sizesOfPickup(p)));
      for (const [id, d] of Object.entries(sizesOfPickup(p)))
        expect(again[id as keyof typeof again]?.value)
          .withContext(`${kind} ${id}`)
          .toBeCloseTo(d.value, 9);
      expect(partProblems(p, {})).toEqual([]);
    }
  });

  it('of a plate single-coil have three screws, which they keep; a half of a split pair is for two strings', () => {
    const plate = typicalPickup('plate single-coil', 'x', 'plate');
    expect(plate.screws.at.length).toBe(3);
    const moved = pickupWithSizes(plate, { screwsApart: read(60) });
    expect(moved.screws.at.map((p) => [p.x, p.y])).toEqual([
      [-30, -13],
      [30, -13],
      [0, 13],
    ]);
    expect([typicalPickup('bass split half', 'x', 'half').strings, typicalPickup('bass slim', 'x', 'slim').strings]).toEqual([2, 4]);
  });

  it('stated anew draw the base, the ears and the screws anew, as surely as they were stated', () => {
    const p = pickupWithSizes(typical, {
      baseLength: read(69.3),
      baseWidth: read(38.1),
      earsOver: read(83),
      earLength: read(6),
      screwsApart: read(78),
      poleSpacing: read(49.4),
      rowsApart: read(18.4),
    });
    const base = p.tiers.find((l) => l.id === 'base')!;
    const box = bounds(base.shapes.map((s) => s.outline));
    expect(box.maxX - box.minX).toBeCloseTo(69.3, 9);
    expect(box.maxY - box.minY).toBeCloseTo(38.1, 9);
    expect(base.shapes[0]!.limit).toBe(0.05);
    expect(base.shapes[0]!.basis.kind).toBe('measured');
    const ears = p.tiers.find((l) => l.id === 'ears')!.shapes.map((s) => bounds([s.outline]));
    expect(ears.map((b) => [b.minX, b.maxX].map((x) => Math.round(x * 1e6) / 1e6))).toEqual([
      [-41.5, -35.5],
      [35.5, 41.5],
    ]);
    expect(p.screws.at.map((s) => s.x)).toEqual([-39, 39]);
    expect(p.poles.rows).toEqual([-9.2, 9.2]);
    const cover = p.tiers.find((l) => l.id === 'cover')!;
    expect(cover.shapes).toEqual(typical.tiers.find((l) => l.id === 'cover')!.shapes);
  });

  it('that may be missing can be taken away', () => {
    const more = pickupWithSizes(typical, { travelDown: read(3) });
    expect(more.sizes?.travelDown?.value).toBe(3);
    expect(pickupWithSizes(more, { travelDown: null }).sizes).toEqual({});
  });

  it('have a range each, and what is usual lies in it', () => {
    for (const kind of PICKUP_KINDS)
      for (const [id, d] of Object.entries(sizesOfPickup(typicalPickup(kind, 'x', kind)))) {
        const [min, max] = PICKUP_FIELDS[id as keyof typeof PICKUP_FIELDS];
        expect(d.value).withContext(`${kind} ${id}`).toBeGreaterThanOrEqual(min);
        expect(d.value).withContext(`${kind} ${id}`).toBeLessThanOrEqual(max);
      }
    expect(PICKUP_FIELD_IDS.length).toBe(24);
  });
});
