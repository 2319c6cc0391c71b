import { evaluatePlan, optionsFor, plannedWork } from '../house/index.js';
import { isHardwareChoice, newHardwareChoice, ofChoice, withChoice, type HardwareChoice, type PlaceRef, type PlanState } from '../check/index.js';
import { holeSteps, newHoleSteps } from '../cut/index.js';
import type { Cavity, Hole } from '../instrument/index.js';
import type { Hardware, HardwareKind, SizeId, StockItem, Tool } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainState } from '../testing/plan.js';
import type { Option, OwnerRequest } from './index.js';

const request: OwnerRequest = { kind: null, reversibleOnly: false, doNotTouch: [] };
const tools: readonly Tool[] = [
  { id: 'set', kind: 'drills', name: 'Set', system: 'metric', from: 3, to: 10 },
  { id: 'sink', kind: 'countersink', name: 'Countersink', diameter: 16 },
];
const part = (id: string, kind: HardwareKind, sizes: Partial<Record<SizeId, number>>, more: Partial<Hardware> = {}): Hardware =>
  partOf(id, kind, sizes, { price: 500, ...more });

const long = part('long', 'pot', { bushing: 9.4, threadLength: 14, body: 24, depthBelow: 13, washer: 14 });
const small = part('small', 'pot', { bushing: 6.9, threadLength: 14, body: 16, depthBelow: 11, washer: 11 });
const old = part('old', 'pot', { bushing: 7.6, threadLength: 14, body: 24, depthBelow: 13, washer: 12 });

function stateWith(parts: readonly Hardware[], holes: readonly Hole[], cavities: readonly Cavity[], stock: readonly StockItem[] = []): PlanState {
  const a = plainAnatomy();
  const s = plainState({ ...a, holes, cavities: [...a.cavities, ...cavities] });
  return { ...s, stock, tools, parts: { ...s.parts, ...Object.fromEntries(parts.map((p) => [p.id, p])) } };
}
const at = (feature: string, id: string): HardwareChoice => newHardwareChoice(feature, { on: 'feature', feature }, id);
const options = (s: PlanState, c: HardwareChoice, target = request): readonly Option[] => optionsFor(s, { format: 5, choices: [c] }, c, target);
const of = (list: readonly Option[], kind: string): Option => list.find((o) => o.proposal.kind === kind)!;
const left = (o: Option): readonly string[] => o.evaluation.verdicts.filter((v) => v.class === 'clashes' || v.class === 'tooClose').map((v) => v.check);

const kindsOf = (s: PlanState, o: Option): readonly string[] => plannedWork(s, o.proposal.choice).map((w) => w.kind);

describe('the steps that open a hole', () => {
  it('go by half a millimetre with what is owned, and end at or above what is asked', () => {
    const s = holeSteps(8, 9.65, tools);
    expect(s.drills.map((x) => x.diameter)).toEqual([8.5, 9, 9.5, 9.7]);
    expect([s.final, s.lacks]).toEqual([9.7, []]);
  });

  it('name the drill that is missing, and the countersink', () => {
    const s = holeSteps(9, 12.1, [tools[0]!]);
    expect(s.lacks).toEqual([{ kind: 'drill', diameter: 12.1 }, { kind: 'countersink' }]);
    expect(s.final).toBeCloseTo(12.1, 9);
  });

  it('take a reamer where no drill is large enough', () => {
    expect(holeSteps(9, 12.1, [...tools, { id: 'r', kind: 'reamer', name: 'Reamer', from: 5, to: 13 }]).lacks).toEqual([]);
  });

  it('end snug: 12.0 for a bushing of 11.2 and 10.5 for one of 9.53 are sloppy: a reamer, or the size by its name', () => {
    const metric = { id: 'm', kind: 'drills' as const, name: 'Metric', system: 'metric' as const, from: 10.5, to: 13 };
    const reamer = { id: 'r', kind: 'reamer' as const, name: 'Reamer', from: 5, to: 13 };
    // wanted: bushing + 0.2 + 0.1 of limits
    const end = (to: number, more: readonly Tool[]) => {
      const s = holeSteps(8, to, [metric, { id: 'c', kind: 'countersink', name: 'c', diameter: 16 }, ...more]);
      return [Number(s.final.toFixed(2)), s.reamer, s.lacks.map((l) => ('diameter' in l ? l.diameter : l.kind))];
    };
    expect(end(11.51, [])).toEqual([11.6, null, [11.6]]);
    expect(end(11.51, [reamer])).toEqual([11.6, 'Reamer', []]);
    expect(end(9.83, [])).toEqual([9.9, null, [9.9]]);
    expect(end(11.45, [])).toEqual([11.5, null, []]);
    // a new hole: the drill below it, then the reamer
    const fresh = newHoleSteps(11.55, [metric, reamer, { id: 's', kind: 'drill', name: '3 mm', diameter: 3 }]);
    expect([fresh.drills.map((d) => d.diameter), fresh.final, fresh.reamer]).toEqual([[3, 11.5], 11.6, 'Reamer']);
    expect(newHoleSteps(11.55, [{ ...metric, from: 12.5 }]).lacks).toContain({ kind: 'drill', diameter: 11.6 });
  });
});

describe('ways out at a hole that is too small', () => {
  const stock: readonly StockItem[] = [{ id: 's', kind: 'part', part: 'long', quantity: 1, drawer: '1' }];
  const s = stateWith([long, small, old], [hole('volume', 'pot', 8, { part: 'old' })], [controlOf(38)], stock);
  const list = options(s, at('volume', 'long'));

  it('opens it to the bushing and 0.2 and what is not sure: 9.4 + 0.2 + 0.1 = 9.7', () => {
    const o = of(list, 'openHole');
    expect(o.proposal.of[0]!.by).toBeCloseTo(9.7, 9);
    expect(left(o)).toEqual([]);
    expect(kindsOf(s, o)).toEqual(['removeHardware', 'openHole', 'fitHardware']);
  });

  it('has the numbers of evaluate with its changes, and the same when it is worked out again', () => {
    for (const o of list) {
      const again = ofChoice(evaluatePlan(s, withChoice({ format: 5, choices: [] }, o.proposal.choice)), 'volume');
      expect(o.evaluation.verdicts.map((v) => [v.id, v.clearance])).toEqual(again.verdicts.map((v) => [v.id, v.clearance]));
    }
  });

  it('keeps what is there as the baseline, and tells that as it is it does not go', () => {
    expect([of(list, 'keep').proposal.choice.part, of(list, 'keep').excluded?.kind]).toEqual(['old', 'baseline']);
    expect(of(list, 'asItIs').excluded).toEqual({ kind: 'unsolved', clashes: 1 });
  });

  it('never ranks the place as it is where something is too close to call or not measured: 7.2 in a hole of 7.3, both to 0.1', () => {
    const ground = (diameter: number | null) =>
      stateWith(
        [partOf('pot', 'pot', { bushing: 7.2, threadLength: 14, body: 24, depthBelow: 13, washer: 14 }, { price: 500 })],
        [diameter === null ? hole('volume', 'pot', 8, { diameter: null }) : hole('volume', 'pot', diameter)],
        [controlOf(38)],
        stock,
      );
    const asIs = (diameter: number | null) => of(options(ground(diameter), at('volume', 'pot')), 'asItIs').excluded;
    expect(asIs(7.3)).toEqual({ kind: 'unsettled', tooClose: 1, notMeasured: 0 });
    expect(asIs(null)).toEqual({ kind: 'unsettled', tooClose: 0, notMeasured: 1 });
    expect(asIs(7.6)).toBeNull();
  });

  it('offers the part that goes in without a cut, and says that it has to be bought', () => {
    const other = list.find((o) => o.proposal.id === 'anotherPart/small')!;
    expect([other.back.woodCut, other.proposal.lacks, other.proposal.price]).toEqual([false, [{ kind: 'part', part: 'small' }], 500]);
    expect(left(other)).toEqual([]);
  });

  it('takes cuts off the list where the job is reversible only or the place is not to be touched', () => {
    expect(of(options(s, at('volume', 'long'), { ...request, reversibleOnly: true }), 'openHole').excluded?.kind).toBe('reversibleOnly');
    expect(of(options(s, at('volume', 'long'), { ...request, doNotTouch: ['volume'] }), 'openHole').excluded?.kind).toBe('doNotTouch');
  });

  it('judges the way back by the old part in the opened hole: it still goes in', () => {
    const { back } = of(list, 'openHole');
    expect([back.part, back.woodCut, back.works]).toEqual(['old', true, true]);
  });
});

describe('ways out of other clashes', () => {
  it('a hole too wide gets a sleeve: nothing is cut', () => {
    const s = stateWith([small], [hole('volume', 'pot', 9.8)], [controlOf(38)]);
    const o = of(options(s, at('volume', 'small')), 'sleeve');
    expect(o.proposal.of[0]!.by).toBeCloseTo(6.9 + 0.2 + 0.1, 9);
    expect(o.back.woodCut).toBeFalse();
    expect(left(o)).toEqual([]);
  });

  it('a cavity too shallow is cut deeper where the wood allows, or its cover is set higher', () => {
    const tall = part('tall', 'push-pull pot', { bushing: 9.4, threadLength: 19, body: 24, depthBelow: 31, washer: 14 });
    const s = stateWith([tall], [hole('volume', 'pot', 9.8)], [controlOf(30)]);
    // 30 − 31 = −1; wanted 1, ± 0.1: 2.1 up to 2.5
    const list = options(s, at('volume', 'tall'));
    expect(of(list, 'deepen').proposal.of[0]!.by).toBeCloseTo(2.5, 9);
    expect(of(list, 'deepen').evaluation.verdicts.find((v) => v.check === 'woodOver')!.clearance).toBeCloseTo(44 - 32.5, 9);
    expect([of(list, 'deepen').back.woodCut, of(list, 'spacer').back.woodCut]).toEqual([true, false]);
    expect(left(of(list, 'spacer'))).toEqual([]);
  });

  it('does not cut deeper what leaves too little for strength', () => {
    const tall = part('tall', 'push-pull pot', { bushing: 9.4, threadLength: 14, body: 24, depthBelow: 41, washer: 14 });
    const s = stateWith([tall], [hole('volume', 'pot', 9.8)], [controlOf(40)]);
    // 40 + 2.5 leaves 1.5 of 44
    expect(of(options(s, at('volume', 'tall')), 'deepen').excluded?.kind).toBe('strength');
  });

  it('a screw that comes through is cut shorter by what is missing and the saw’s 0.3', () => {
    const screw = part('screw', 'wood screw', { length: 20, diameter: 2.84 }, { gauge: 4 });
    const a = plainAnatomy();
    const plate = {
      ...a.plates[0]!,
      id: 'cover',
      outline: edge(roundedRectangle(80, 110, 4, { x: 60, y: 240 })),
      openings: [],
      screws: [{ x: 60, y: 240, gauge: 4 }],
    };
    const s0 = stateWith([screw], [], [controlOf(30)]);
    const s = { ...s0, anatomy: { ...s0.anatomy, plates: [...s0.anatomy.plates, plate] } };
    const place: PlaceRef = { on: 'feature', feature: 'cover', screw: 0 };
    const c = newHardwareChoice('cover screw 1', place, 'screw');
    // wood 44 − 30 = 14, thread 20 − 2 = 18: −4; wanted 3, ± 0.2, 0.3 of the saw: 7.5
    const o = of(optionsFor(s, { format: 5, choices: [c] }, c, request), 'trim');
    expect(o.proposal.of[0]!.by).toBeCloseTo(7.5, 9);
    expect(left(o)).toEqual([]);
  });

  it('a stripped hole is plugged from the rack and drilled anew, after the glue', () => {
    const pin = part('pin', 'strap pin', { length: 25, diameter: 4.17 }, { gauge: 8 });
    const dowel: StockItem = { id: 'd', kind: 'dowel', wood: 'beech', diameter: 6, length: 500, quantity: 1, drawer: 'rack' };
    const s = stateWith([pin], [hole('button', 'screw', 4.6, { face: 'side', at: { x: 22, y: 0 } })], [], [dowel]);
    const o = of(options(s, at('button', 'pin')), 'plugAndRedrill');
    expect(o.proposal.lacks).toEqual([{ kind: 'part', part: 'pin' }]);
    expect(o.proposal.wait).toBe(720);
    expect(o.evaluation.verdicts.find((v) => v.check === 'threadBites')!.class).not.toBe('clashes');
    const bare = of(options({ ...s, stock: [] }, at('button', 'pin')), 'plugAndRedrill');
    expect(bare.proposal.lacks).toContain({ kind: 'dowel', atLeast: 4.6 });
  });

  it('a new hole is moved to where the body clears, and drilled to size', () => {
    const s = stateWith([long], [], [controlOf(38)], [{ id: 's', kind: 'part', part: 'long', quantity: 1, drawer: '' }]);
    // 8 off the wall of the cavity its body of 24 stands 4 in the wood
    const c = newHardwareChoice('new', { on: 'face', face: 'top', at: { x: 82, y: 240 }, hole: 'pot' }, 'long');
    const list = optionsFor(s, { format: 5, choices: [c] }, c, request);
    const o = of(list, 'move');
    expect(left(o)).toEqual([]);
    const place = isHardwareChoice(o.proposal.choice) && o.proposal.choice.place.on === 'face' ? o.proposal.choice.place.at : null;
    // the nearest place: from the wall at x = 90 by half a body, 1.0 wanted and what is not sure, in whole millimetres
    expect(place!.x).toBeLessThanOrEqual(90 - 12 - 1);
    expect(Math.hypot(place!.x - 82, place!.y - 240)).toBeLessThan(8);
    expect(left(of(list, 'drillNew'))).toContain('bodyInRoom');
  });

  it('a new place for a screw gets its pilot, as deep as the screw: 4.17 through two thirds in hard wood, and the drill above it', () => {
    const pin = partOf('pin', 'strap pin', { diameter: 4.17, length: 25, flange: 16 }, { gauge: 8 });
    const s = { ...stateWith([pin], [], []), tools: [{ id: 'set', kind: 'drills' as const, name: 'Set', system: 'metric' as const, from: 1, to: 6 }] };
    const c: HardwareChoice = { ...at('pin', 'pin'), place: { on: 'face', face: 'side', at: { x: 22, y: 400 }, hole: 'screw' } };
    const { proposal, evaluation } = of(options(s, c), 'drillNew');
    // 4.17 × 2/3 = 2.78: the next drill of a set by tenths
    expect(proposal.of[0]!.by).toBeCloseTo(2.8, 9);
    const made = evaluation.anatomy.holes.find((h) => h.id === c.id)!;
    expect([made.diameter?.value, made.depth?.value, made.through]).toEqual([proposal.of[0]!.by, 25, false]);
    // a set that begins at 3.0 has none: too large a pilot holds nothing
    const few = { ...s, tools: [{ id: 'set', kind: 'drills' as const, name: 'Set', system: 'metric' as const, from: 3, to: 6 }] };
    expect(of(options(few, c), 'drillNew').proposal.lacks).toContain({ kind: 'drill', diameter: jasmine.any(Number) as unknown as number });
  });

  it('a plate that hides too little is made larger by what is missing', () => {
    const drawn = (w: number, h: number) => ({ outline: roundedRectangle(w, h, 4), limit: 0.1, basis: { kind: 'measured' as const, tool: 'calliper' } });
    const narrow = part('narrow', 'plate', { thickness: 2 }, { shape: { outline: drawn(79, 40), openings: [], screws: [] } });
    const s = stateWith([narrow], [], []);
    const o = of(options(s, at('plate', 'narrow')), 'makePlate');
    expect(o.evaluation.verdicts.find((v) => v.check === 'plateHides')!.class).toBe('well');
    expect(o.back.woodCut).toBeFalse();
  });

  it('a hole that nothing goes into any more is closed', () => {
    const s = stateWith([old], [hole('volume', 'pot', 8, { part: 'old' })], []);
    const c: HardwareChoice = { ...at('volume', 'old'), part: null };
    expect(of(options(s, c), 'plugHole').evaluation.anatomy.holes[0]!.condition).toBe('plugged');
  });
});

describe('a cavity, a slot or a bore that is too small', () => {
  it('is widened round the body, with the walls that are left then; it cannot be put back', () => {
    const s = stateWith([long], [hole('volume', 'pot', 9.8, { at: { x: 36, y: 240 } })], [controlOf(36)]);
    const c = at('volume', 'long');
    // the wall at x = 30 is 6 from the middle of a body of 24: 6 too near
    const o = of(options(s, c), 'widenCavity');
    expect(o.evaluation.verdicts.find((v) => v.check === 'bodyInRoom')!.class).toBe('well');
    expect([o.excluded, o.back.woodCut]).toEqual([null, true]);
    // half a body of 24, wanted 1, errors 0.175 and a template's 0.1: 13.275 round the middle at 36, the body's edge lies at 160
    const edge = o.evaluation.verdicts.find((v) => v.check === 'edgeOfBody')!;
    expect(edge.clearance).toBeCloseTo(160 - 36 - 13.275, 2);
    expect(kindsOf(s, o)).toContain('widenCavity');
  });

  it('or its hole is plugged and drilled anew beside it, as near as it will do: 6 missing, 1 wanted and errors, in whole steps 8', () => {
    const s = stateWith([long], [hole('volume', 'pot', 9.8, { at: { x: 36, y: 240 } })], [controlOf(36)]);
    const o = of(options(s, at('volume', 'long')), 'move');
    expect([o.proposal.of[0]!.by, o.excluded, o.back.woodCut]).toEqual([8, null, true]);
    expect(o.evaluation.anatomy.holes[0]!.at).toEqual({ x: 44, y: 240 });
    expect(kindsOf(s, o)).toEqual(jasmine.arrayContaining(['plugHole', 'drillHole']));
    expect(o.proposal.lacks).toContain({ kind: 'dowel', atLeast: 9.8 });
    // another pot 30 beside is 6 clear of it; 18 beside it is 6 too near
    const two = stateWith([long], [hole('volume', 'pot', 9.8), hole('tone', 'pot', 9.8, { at: { x: 60, y: 258 } })], [controlOf(36)]);
    const plan = { format: 5 as const, choices: [at('volume', 'long'), at('tone', 'long')] };
    const apart = of(optionsFor(two, plan, plan.choices[0]!, request), 'move');
    expect(apart.proposal.of[0]!.by).toBe(8);
    expect(apart.evaluation.verdicts.filter((v) => v.class === 'clashes')).toEqual([]);
  });

  it('is not widened into what lies beside it or below: then it is not ranked', () => {
    const beside = {
      ...controlOf(20),
      id: 'beside',
      levels: [{ ...controlOf(20).levels[0]!, outline: edge(roundedRectangle(20, 40, 3, { x: 18, y: 240 })) }],
    };
    const over = { ...beside, id: 'over', face: 'top' as const };
    const with_ = (other: typeof beside | typeof over): Option => {
      const s = stateWith([long], [hole('volume', 'pot', 9.8, { at: { x: 36, y: 240 } })], [controlOf(36), other]);
      return of(options(s, at('volume', 'long')), 'widenCavity');
    };
    expect(with_(beside).excluded?.kind).toBe('strength');
    const below = with_(over);
    // 44 − 36 − 20: twelve too much
    expect(below.evaluation.verdicts.find((v) => v.check === 'floor')!.clearance).toBe(-12);
    expect(below.excluded?.kind).toBe('strength');
  });

  it('thins the wood for a thread that is too short: 8 of wood, nut and washer 2.5, a thread of 9.5: 1.65 with what is wanted and not sure, so 2.0', () => {
    const short = part('short', 'pot', { bushing: 9.4, threadLength: 9.5, body: 24, depthBelow: 13, washer: 14 });
    const s = stateWith([short], [hole('volume', 'pot', 9.8)], [controlOf(36)]);
    const list = options(s, at('volume', 'short'));
    const o = of(list, 'deepen');
    expect(o.proposal.choice.work).toEqual([
      { kind: 'deepenRoute', does: [jasmine.objectContaining({ kind: 'setDepth', depth: jasmine.objectContaining({ value: 38 }) })] },
    ]);
    expect(o.evaluation.verdicts.find((v) => v.check === 'threadThrough')!.clearance).toBeCloseTo(1, 9);
    expect(of(list, 'spacer')).toBeUndefined();
  });

  it('opens a slot by what lever and file want, at its ends or its sides', () => {
    const slot: Cavity = {
      ...controlOf(6.5),
      id: 'slot',
      kind: 'slot',
      face: 'top',
      levels: [{ ...controlOf(6.5).levels[0]!, outline: edge(roundedRectangle(2.6, 26, 1.3, { x: 60, y: 240 })) }],
    };
    const lever = part('lever', 'lever switch', { slotLength: 28, slotWidth: 1.8, depthBelow: 30 });
    const o = of(options(stateWith([lever], [], [slot, controlOf(36)]), at('slot', 'lever')), 'openSlot');
    const along = o.evaluation.verdicts.find((v) => v.check === 'switchInSlot' && v.subject.item === 'along')!;
    expect([along.class, o.back.woodCut, o.excluded]).toEqual(['well', true, null]);
    const across = o.evaluation.verdicts.find((v) => v.check === 'switchInSlot' && v.subject.item === 'across')!;
    expect(across.clearance).toBeCloseTo(0.8, 6);
  });

  it('bores a jack’s hole in the side deeper: 28 for 31 of plug and 1 to spare, to 32.5', () => {
    const jack = part('jack', 'jack', { bushing: 9.4, plugInside: 31, body: 23 });
    const side = hole('socket', 'jack', 9.8, { face: 'side', depth: dim(28), through: false, at: { x: 20, y: 300 } });
    const o = of(options(stateWith([jack], [side], []), at('socket', 'jack')), 'deepenBore');
    expect(o.proposal.of[0]!.by).toBe(32.5);
    expect(o.evaluation.verdicts.find((v) => v.check === 'plugInside')!.class).toBe('well');
  });
});
