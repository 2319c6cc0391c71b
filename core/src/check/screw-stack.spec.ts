// A screw through several members: free in all but the last, its thread in the last. Lengths by hand; wanted: 12 of thread in a heel, 3 under the point, 0.3 round the
// shank [trade, memory: docs/trade/check.md].
import { evaluatePlan, optionsFor } from '../house/index.js';
import type { Anatomy, Hole, Neck } from '../instrument/index.js';
import { roundedRectangle } from '../shape/index.js';
import { hole, partOf } from '../testing/hardware.js';
import { dim, edge, inDrawer, plainAnatomy, plainPlan, plainState } from '../testing/plan.js';
import type { HardwareChoice, PlaceRef, PlanState, Verdict } from './index.js';

/** A #8 shank: 0.060 + 8 × 0.013 in [std: ASME B18.6.1]. */
const SHANK = 0.164 * 25.4;

interface Joint {
  readonly length?: number;
  readonly plate?: number;
  readonly bore?: number | null;
  readonly neck?: Partial<Neck>;
  readonly pocket?: number;
}

/** A neck of 26 at its heel, in a pocket of 16 in a body of 44: 28 of wood under it, a plate of 3 on the back with a #8 screw at (20, 40). */
function bolted({ plate = 3, pocket = 16, neck = { heelThickness: dim(26) } }: Joint, holes: readonly Hole[] = []): Anatomy {
  const a = plainAnatomy();
  const levels = (c: Anatomy['cavities'][number]) => (c.id === 'pocket' ? c.levels.map((p) => ({ ...p, depth: dim(pocket) })) : c.levels);
  return {
    ...a,
    neck: { ...a.neck, ...neck },
    cavities: a.cavities.filter((c) => c.id !== 'back').map((c) => ({ ...c, levels: levels(c) })),
    holes,
    plates: [
      ...a.plates,
      {
        id: 'neck plate',
        name: 'Neck plate',
        face: 'back',
        frame: 'body',
        outline: edge(roundedRectangle(52, 64, 4, { x: 0, y: 38 })),
        thickness: dim(plate),
        openings: [],
        screws: [{ x: 20, y: 40, gauge: 8 }],
        kind: 'plate',
        condition: 'sound',
      },
    ],
  };
}

const bored = (diameter: number | null, at = { x: 20, y: 40 }): Hole => hole('bore', 'screw', diameter, { face: 'back', at, hiddenBy: 'neck plate' });
const choice = (place: PlaceRef): HardwareChoice => ({ kind: 'hardware', id: 'screw', place, part: 'long', alternatives: [], count: 1, work: [] });
const IN_PLATE: PlaceRef = { on: 'feature', feature: 'neck plate', screw: 0 };
const IN_HOLE: PlaceRef = { on: 'feature', feature: 'bore' };

function stateOf(joint: Joint): PlanState {
  const { bore = 4.9, length = 45 } = joint;
  const state = plainState(bolted(joint, bore === null ? [] : [bored(bore)]));
  const long = partOf('long', 'wood screw', { diameter: SHANK, length, head: 8.2 }, { gauge: 8 });
  return { ...state, parts: { ...state.parts, long }, stock: [...state.stock, inDrawer('long', 4)] };
}

function said(joint: Joint, place: PlaceRef = IN_PLATE): (check: string) => Verdict | undefined {
  const { verdicts } = evaluatePlan(stateOf(joint), plainPlan(choice(place)));
  return (check) => verdicts.find((v) => v.check === check);
}

describe('a screw that holds a neck', () => {
  it('has its thread in the heel: 45 − 3 − (44 − 16) = 14, and 26 − 14 = 12 under its point', () => {
    for (const place of [IN_PLATE, IN_HOLE]) {
      const of = said({}, place);
      expect([of('screwHolds')!.clearance!.toFixed(6), of('screwHolds')!.class]).toEqual(['14.000000', 'well']);
      expect([of('screwPoint')!.clearance!.toFixed(6), of('screwPoint')!.class]).toEqual(['12.000000', 'well']);
    }
  });

  it('has less over a shim: 0.66 leave 13.34, and 12.66 under the point', () => {
    const of = said({ neck: { heelThickness: dim(26), shim: dim(0.66) } });
    expect([of('screwHolds')!.clearance!.toFixed(6), of('screwHolds')!.class]).toEqual(['13.340000', 'well']);
    expect(of('screwPoint')!.clearance).toBeCloseTo(12.66, 6);
  });

  it('is too short, or comes through the board: 35 holds by 4; 60 has 29 in 26', () => {
    expect([said({ length: 35 })('screwHolds')!.clearance!.toFixed(3), said({ length: 35 })('screwHolds')!.class]).toEqual(['4.000', 'thin']);
    expect([said({ length: 60 })('screwPoint')!.clearance!.toFixed(3), said({ length: 60 })('screwPoint')!.class]).toEqual(['-3.000', 'clashes']);
    // a plate that nobody put there: the neck is held by ferrules, or it was forgotten
    expect(said({ plate: 0.5 })('screwHolds')!.clearance).toBeCloseTo(16.5, 6);
  });

  it('asks for the heel, the pocket and the plate, and for nothing that it does not rest on', () => {
    const of = said({ neck: {} });
    expect(of('screwPoint')!.missing).toEqual([{ quantity: 'heelThickness', feature: 'neck' }]);
    expect(of('screwHolds')!.clearance).toBeCloseTo(14, 6);
  });

  it('passes the body freely: 4.9 round 4.17 is well, 4.3 thin, 4.1 a thread that holds the neck off; none drawn, it is asked for', () => {
    const body = (verdicts: readonly Verdict[]): Verdict => verdicts.find((v) => v.check === 'screwPasses' && v.subject.item === 'body')!;
    const passes = (bore: number | null) => body(evaluatePlan(stateOf({ bore }), plainPlan(choice(IN_PLATE))).verdicts);
    expect([passes(4.9).clearance!.toFixed(4), passes(4.9).class]).toEqual([(4.9 - SHANK).toFixed(4), 'well']);
    expect([passes(4.35).class, passes(4.0).class, passes(null).class]).toEqual(['thin', 'clashes', 'notMeasured']);
    // the bore is the one at the screw's place: another beside it is none of its
    const state = plainState(bolted({}, [bored(4.9, { x: -20, y: 40 })]));
    const parts = { ...state.parts, long: partOf('long', 'wood screw', { diameter: SHANK, length: 45 }, { gauge: 8 }) };
    const { verdicts } = evaluatePlan({ ...state, parts }, plainPlan(choice(IN_PLATE)));
    expect(body(verdicts).class).toBe('notMeasured');
  });

  it('bites in no clearance hole, and is neither sawn off below what holds nor given a plug to drill a pilot in', () => {
    expect(said({}, IN_HOLE)('threadBites')).toBeUndefined();
    const kinds = (joint: Joint, place: PlaceRef) =>
      optionsFor(stateOf(joint), plainPlan(choice(place)), choice(place), { kind: null, reversibleOnly: false, doNotTouch: [] }).map((o) => o.proposal.kind);
    // 14 in a heel of 14: to keep 3 under the point it would have to hold by 10.5, of 12
    expect(kinds({ neck: { heelThickness: dim(14) } }, IN_PLATE)).not.toContain('trim');
    // 29 in a heel of 26 may lose 6.5 and still hold by 22.5
    expect(kinds({ length: 60 }, IN_PLATE)).toContain('trim');
    expect(kinds({ bore: 6 }, IN_HOLE)).not.toContain('plugAndRedrill');
  });

  it('is seated by its head: wider than the hole of its plate; a #10 does not pass a plate for #8', () => {
    // a plate's hole is its screws' shank and 0.4: 4.57; a head of 8.2 is 3.63 wider
    expect(said({})('headSeats')!.clearance).toBeCloseTo(8.2 - SHANK - 0.4, 6);
    const thick = partOf('long', 'wood screw', { diameter: 0.19 * 25.4, length: 45, head: 9 }, { gauge: 10 });
    const state = stateOf({ bore: 5.4 });
    const { verdicts } = evaluatePlan({ ...state, parts: { ...state.parts, long: thick } }, plainPlan(choice(IN_PLATE)));
    const plate = verdicts.find((v) => v.check === 'screwPasses' && v.subject.against === 'neck plate')!;
    // 4.1656 + 0.4 − 4.826
    expect([plate.clearance!.toFixed(4), plate.class]).toEqual(['-0.2604', 'clashes']);
  });
});
