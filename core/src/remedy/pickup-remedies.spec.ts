import { evaluateChoice, optionsFor, worksOf } from '../house/index.js';
import type { PlanState } from '../check/index.js';
import { planned } from './hardware-ground.js';
import type { Anatomy } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { boxPickup, inDrawer, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import type { Option, OwnerRequest } from './index.js';

const request: OwnerRequest = { kind: null, reversibleOnly: false, doNotTouch: [] };

/** The plain instrument with a window that the route lies well behind: 79 × 29 over 80 × 30. */
function fitting(): Anatomy {
  const a = plainAnatomy();
  const [plate] = a.plates;
  const openings = plate!.openings.map((o) => ({ ...o, outline: { ...o.outline, outline: roundedRectangle(79, 29, 3, { x: 0, y: 110 }) } }));
  return { ...a, plates: [{ ...plate!, openings }] };
}

function withPart(part: Pickup, anatomy = fitting()): PlanState {
  const s = plainState(anatomy);
  return { ...s, parts: { ...s.parts, [part.id]: part }, stock: [...s.stock, inDrawer(part.id)] };
}
function options(s: PlanState, part: string, target = request): readonly Option[] {
  const choice = plainChoice({ part });
  return optionsFor(s, plainPlan(choice), choice, target);
}
const of = (list: readonly Option[], kind: string): Option => list.find((o) => o.proposal.kind === kind)!;
const clearance = (o: Option, check: string, item?: string): number =>
  o.evaluation.verdicts.find((v) => v.check === check && (item === undefined || v.subject.item === item))!.clearance!;
const lowest = (p: Pickup, screws: number): Pickup => ({ ...p, screws: { ...p.screws, lowest: { ...p.screws.lowest, value: screws } } });

/** Goes into the route of 80 × 30 by 1 all round; its screws come 0.5 below the floor at 18. */
const deep = boxPickup('deep', 78, 28, 17.5);

describe('ways out for a pickup that the outline of its route would hold', () => {
  it('deepens the floor until depth and screws are well: 18 to 20, and the wood cannot be put back', () => {
    const o = of(options(withPart(deep), 'deep'), 'deepen');
    expect(o.proposal.of[0]!.by).toBeCloseTo(2, 9);
    expect(o.proposal.choice.work).toEqual([{ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'route', level: 'old', depth: planned(20, 0.2) }] }]);
    expect([clearance(o, 'depthUnderScrews'), clearance(o, 'depthUnderPart', 'base')]).toEqual([1.5, 2.5]);
    expect([o.excluded, o.back.woodCut, o.back.works]).toEqual([null, true, true]);
    expect(worksOf(o.proposal.choice, withPart(deep)).map((w) => w.kind)).toEqual([
      'meterPart',
      'removePart',
      'takeOffInsert',
      'deepenRoute',
      'testFit',
      'fitPart',
    ]);
  });

  it('deepens no further than strength lets it: with 13.8 of wood left over the back cavity it is not ranked', () => {
    const a = fitting();
    const cavities = a.cavities.map((c) => (c.id === 'back' ? { ...c, levels: c.levels.map((p) => ({ ...p, depth: planned(22.5, 0.05) })) } : c));
    expect(of(options(withPart(deep, { ...a, cavities }), 'deep'), 'deepen').excluded?.kind).toBe('strength');
  });

  it('sets it higher on a spacer: 2.0 more depth in the sum, nothing cut, and the old one goes back without it', () => {
    const o = of(options(withPart(deep), 'deep', { ...request, reversibleOnly: true }), 'spacer');
    expect([o.proposal.of[0]!.by, o.excluded, o.back.woodCut, o.back.works]).toEqual([2, null, false, true]);
    expect(clearance(o, 'depthUnderScrews')).toBeCloseTo(1.5, 9);
    const sum = o.evaluation.verdicts.find((v) => v.check === 'depthUnderScrews')!.working!;
    expect(JSON.stringify(sum)).toContain('pickupRaised');
    expect(o.proposal.lacks).toEqual([{ kind: 'offcut' }]);
    const s = withPart(deep);
    const wood = { id: 'w', kind: 'offcut' as const, wood: 'maple', length: 90, width: 20, thickness: 3, quantity: 1, drawer: '' };
    expect(of(options({ ...s, stock: [...s.stock, wood] }, 'deep'), 'spacer').proposal.lacks).toEqual([]);
  });

  it('offers no spacer that would lift it into the strings', () => {
    expect(of(options(withPart(boxPickup('far', 78, 28, 24)), 'far'), 'spacer')).toBeUndefined();
  });

  it('cuts height screws shorter where thread is left to hold it; it cannot be returned then', () => {
    const o = of(options(withPart(lowest(boxPickup('flat', 78, 28, 12), 22)), 'flat'), 'trim');
    expect(o.proposal.of[0]!.trimmed).toEqual({ ears: 0, screws: 5.5 });
    expect(clearance(o, 'depthUnderScrews')).toBeCloseTo(1.5, 9);
    expect([o.back.partCut, o.back.woodCut, o.excluded]).toEqual([true, false, null]);
    // 18.5 − 17.5: nothing to spare
    expect(of(options(withPart(deep), 'deep'), 'trim')).toBeUndefined();
  });

  it('files ears back by as little as will do, and not into their screw holes', () => {
    const eared = (reach: number, hole: number): Pickup => {
      const box = boxPickup('eared', 66, 28, 14);
      const ear = (x: number) => ({ ...box.tiers[1]!.shapes[0]!, outline: roundedRectangle(10, 10, 1, { x, y: 0 }) });
      return {
        ...box,
        tiers: [...box.tiers, { id: 'ears', from: 13, lowest: box.tiers[1]!.lowest, shapes: [ear(reach - 5), ear(5 - reach)] }],
        screws: {
          ...box.screws,
          at: [
            { x: hole, y: 0 },
            { x: -hole, y: 0 },
          ],
        },
      };
    };
    const o = of(options(withPart(eared(40.2, 35)), 'eared'), 'trim');
    expect(o.proposal.of[0]!.trimmed).toEqual({ ears: 0.7, screws: 0 });
    expect(clearance(o, 'partInRoute', 'ears')).toBeCloseTo(0.5, 3);
    expect(of(options(withPart(eared(40.2, 38)), 'eared'), 'trim')).toBeUndefined();
  });

  it('offers nothing of depth alone where the outline clashes', () => {
    const kinds = options(plainState(), 'large').map((o) => o.proposal.kind);
    expect(kinds).not.toContain('deepen');
    expect(kinds).not.toContain('spacer');
  });
});

describe('ways out at the plate of a pickup', () => {
  it('files a window wider: 0.1 too narrow on each side, 0.3 wanted, 0.1 and 0.2 for the errors', () => {
    const o = of(options(withPart(boxPickup('wide', 85.4, 29, 15), plainAnatomy()), 'wide'), 'reshapePlate');
    // the cover is 84.4 in a window of 84.2
    expect(o.proposal.of[0]!.by).toBeCloseTo(0.1 + 0.3 + 0.1 + 0.2, 2);
    expect(clearance(o, 'windowGap')).toBeCloseTo(0.6, 2);
    expect([o.back.plateCut, o.back.woodCut]).toEqual([true, false]);
    const s = withPart(boxPickup('wide', 85.4, 29, 15), plainAnatomy());
    expect(of(options(s, 'wide', { ...request, reversibleOnly: true }), 'reshapePlate').excluded?.kind).toBe('reversibleOnly');
  });

  it('makes a plate anew that hides what the old one does not, and keeps the old one', () => {
    const a = plainAnatomy();
    const plates = a.plates.map((p) => ({ ...p, outline: { ...p.outline, outline: roundedRectangle(86, 32, 4, { x: 0, y: 110 }) } }));
    const s = withPart(boxPickup('slight', 58, 22, 14), { ...a, plates });
    const o = of(options(s, 'slight'), 'makePlate');
    // 1.0 left beside the route at its nearest, 1.5 wanted, 0.3 for the errors
    expect(o.proposal.of[0]!.by).toBeCloseTo(0.8, 1);
    expect([o.back.plateCut, o.back.works]).toEqual([false, true]);
    expect(clearance(o, 'hiddenEdge')).toBeGreaterThan(1.5);
  });
});

describe('a pickup that was trimmed or raised', () => {
  it('is whole again when another takes its place, and its spacer stays until it is taken out', () => {
    const s = withPart(deep);
    const work = [
      { kind: 'fitSpacer' as const, does: [{ kind: 'raisePickup' as const, position: 'here', by: planned(2, 0.1) }] },
      { kind: 'trimPart' as const, does: [{ kind: 'trimPickup' as const, position: 'here', trimmed: { ears: 0, screws: 2 } }] },
    ];
    const cut = evaluateChoice(s, plainChoice({ part: 'deep', work })).anatomy;
    expect(cut.positions[0]).toEqual(jasmine.objectContaining({ part: 'deep', trimmed: { ears: 0, screws: 2 } }));
    const other = evaluateChoice({ ...s, anatomy: cut }, plainChoice({ part: 'small' })).anatomy.positions[0]!;
    expect([other.trimmed, other.raised?.value]).toEqual([undefined, 2]);
  });
});
