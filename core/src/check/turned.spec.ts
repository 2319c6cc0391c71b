// What is said of an instrument does not depend on where and how it lies: turned and moved, with the pickup's place and the route turned along, every number stays within 0.005 mm.
import { evaluateChoice } from '../house/index.js';
import type { Anatomy, FeatureOutline } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { placeOutline, placePoint, roundedRectangle, type Placement } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { boxPickup, inDrawer, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import type { CheckId, PickupChoice, PlanState } from './index.js';

function laid(a: Anatomy, at: Placement): Anatomy {
  const turned = (o: FeatureOutline): FeatureOutline => ({ ...o, outline: placeOutline(o.outline, at) });
  return {
    ...a,
    body: { ...a.body, outline: a.body.outline && turned(a.body.outline) },
    cavities: a.cavities.map((c) => ({ ...c, levels: c.levels.map((p) => ({ ...p, outline: turned(p.outline) })) })),
    plates: a.plates.map((p) => ({
      ...p,
      outline: turned(p.outline),
      openings: p.openings.map((o) => ({ ...o, outline: turned(o.outline), insert: o.insert && { ...o.insert, slot: turned(o.insert.slot) } })),
      screws: p.screws.map((s) => ({ ...s, ...placePoint(s, at) })),
    })),
    positions: a.positions.map((p) => ({ ...p, at: placePoint(p.at, at), turn: (p.turn ?? 0) + at.turn })),
  };
}

/** The outer poles stand under the strings of an instrument that lies straight. */
const STRAIGHT: ReadonlySet<CheckId> = new Set<CheckId>(['polesUnderStrings']);

function numbers(state: PlanState, choice: PickupChoice): ReadonlyMap<string, number | null> {
  const given = evaluateChoice(state, choice).verdicts.filter((v) => !STRAIGHT.has(v.check));
  return new Map(given.map((v) => [v.id, v.clearance]));
}

describe('verdicts', () => {
  const screwed = plainAnatomy();
  const anatomy: Anatomy = {
    ...screwed,
    plates: screwed.plates.map((p) => ({ ...p, screws: [{ x: 45, y: 88, gauge: 4 } as Anatomy['plates'][number]['screws'][number]] })),
  };
  const wide = boxPickup('large', 84, 38, 17);
  const state = (a: Anatomy, part: Pickup): PlanState => ({ ...plainState(a), parts: { ...plainState().parts, large: part }, stock: [inDrawer('large')] });

  it('are the same of an instrument that is turned and moved, clear or clashing', () => {
    const r = seeded(17);
    for (let i = 0; i < 25; i++) {
      const at = { x: 400 * (r() - 0.5), y: 400 * (r() - 0.5), turn: 360 * r() };
      const shift = { x: 8 * (r() - 0.5), y: 108 + 6 * (r() - 0.5), turn: 10 * (r() - 0.5) };
      const levels = [
        { id: 'main', outline: roundedRectangle(80 + 8 * r(), 36 + 6 * r(), 1 + 4 * r()), depth: 18, bored: false },
        { id: 'ear', outline: roundedRectangle(13, 13, 5, { x: 40, y: 0 }), depth: 22, bored: false },
      ];
      const here = numbers(state(anatomy, wide), plainChoice({ route: { at: shift, levels } }));
      const route = { at: { ...placePoint(shift, at), turn: shift.turn + at.turn }, levels };
      const there = numbers(state(laid(anatomy, at), wide), plainChoice({ route }));
      expect([...there.keys()].sort()).toEqual([...here.keys()].sort());
      for (const [id, clearance] of here)
        expect(Math.abs((there.get(id) ?? NaN) - (clearance ?? NaN)) < 0.005 || (clearance === null && there.get(id) === null))
          .withContext(`${i} ${id}: ${String(clearance)} and ${String(there.get(id))}`)
          .toBeTrue();
    }
  });
});
