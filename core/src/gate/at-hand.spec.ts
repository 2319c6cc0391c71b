import { HOUSE, atHand, beforeCut, cuttingFor, isIrreversible } from '../house/index.js';
import { newHardwareChoice, type Choice, type HardwareChoice, type PlanState } from '../check/index.js';
import type { OperationKind, OperationState, PlacedOperation, WorkItem } from '../operation/index.js';
import type { StockItem, Tool } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { gateOf } from '../testing/gate.js';
import { hole } from '../testing/hardware.js';
import { dim, plainAnatomy, plainChoice, plainState, plainTools } from '../testing/plan.js';
import { operationOf } from '../testing/work.js';
import { needKey } from '../work/index.js';
import { clearToCut, overrideKey } from './index.js';

const today = new Date('2026-06-01');
const gauge: Tool = { id: 'g', kind: 'depth gauge', name: 'gauge', limit: 0.05 };
const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false }] };

function needs(choice: Choice, tools: readonly Tool[], more: Partial<PlanState> = {}) {
  const state = { ...plainState(), tools, ...more };
  return atHand(state, choice, cuttingFor(state, choice), today);
}
const given = (list: ReturnType<typeof needs>) => list.map((n) => [n.need, n.has]);

describe('what a cut asks of the drawers', () => {
  it('of a route: a bit that will do, what bores its bulk, and something to read a depth with; none of it may be dull unseen', () => {
    const sharp = plainTools.map((t) => (t.id === 'short' ? { ...t, sharpened: '2026-05-01' } : t));
    // away from the old cavity there is a bulk to bore
    const list = needs(plainChoice({ route: { ...route, at: { x: 0, y: 220, turn: 0 } } }), [...sharp, gauge]);
    expect(given(list)).toEqual([
      ['boringBit', '25 mm boring bit'],
      ['templateBit', 'short template bit'],
      ['depthTool', 'gauge'],
    ]);
    expect(list.map((n) => n.dull)).toEqual([true, false, false]);
  });

  it('names what is not there: no template bit, none that reaches, no tool at all', () => {
    expect(given(needs(plainChoice({ route }), []))).toEqual([
      ['templateBit', null],
      ['depthTool', null],
    ]);
    const reachless = plainTools.map((t) => ('reach' in t ? { ...t, reach: 10 } : t));
    expect(given(needs(plainChoice({ route }), [...reachless, gauge]))).toContain(['templateBit', null]);
  });

  it('of a filling: a piece that is large enough, by its grain, and glue', () => {
    const filled = plainChoice({ route, fill: true });
    const offcut = (length: number, width: number): StockItem => ({
      id: 'o',
      kind: 'offcut',
      wood: 'alder',
      length,
      width,
      thickness: 20,
      quantity: 1,
      drawer: 'rack',
    });
    const glue: StockItem = { id: 'k', kind: 'material', name: 'Hide glue', unit: 'ml', quantity: 50, drawer: 'bench', leadDays: null };
    const of = (stock: readonly StockItem[]) => given(needs(filled, [...plainTools, gauge], { stock })).slice(0, 2);
    // the block is 90 across the grain and 40 along it
    expect(of([offcut(60, 95), glue])).toEqual([
      ['offcut', 'alder, rack'],
      ['glue', 'Hide glue, bench'],
    ]);
    expect(of([offcut(95, 60), { ...glue, quantity: 0 }])).toEqual([
      ['offcut', null],
      ['glue', null],
    ]);
  });

  it('of holes and floors: drills for the size, a dowel to plug with, a bit that goes deep enough', () => {
    const drills: Tool = { id: 'd', kind: 'drills', name: 'set', system: 'metric', from: 3, to: 8 };
    const a = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8)] };
    const choice = (...work: readonly WorkItem[]): HardwareChoice => ({ ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, null), work });
    const size = (diameter: number) => ({ kind: 'sizeHole' as const, hole: 'volume', by: 'drill' as const, diameter: dim(diameter) });
    const plug: WorkItem = { kind: 'plugHole', does: [{ kind: 'closeHole', hole: 'volume' }] };
    const of = (c: Choice, tools: readonly Tool[] = [drills]) => needs(c, tools, { anatomy: a, stock: [] }).map((n) => [n.need, n.size, n.has]);
    expect(of(choice({ kind: 'openHole', does: [size(9.7)] }))).toEqual([['drill', 9.7, null]]);
    // of a hole that is not there yet: a pilot and its size
    const fresh = choice({ kind: 'drillHole', does: [size(7)] });
    expect(of(fresh)).toEqual([['drill', null, '3.0 mm, 7.0 mm']]);
    expect(of(choice(plug, { kind: 'drillHole', does: [size(6)] }))).toEqual([
      ['dowel', 8, null],
      ['glue', null, null],
      ['drill', null, '3.0 mm, 6.0 mm'],
    ]);
    expect(of(choice(plug))).toEqual([
      ['dowel', 8, null],
      ['glue', null, null],
    ]);
    const deeper = choice({ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'pocket', level: 'p', depth: dim(30) }] });
    expect(of(deeper, plainTools)).toEqual([
      ['routerBit', 30, 'long template bit'],
      ['depthTool', null, null],
    ]);
    expect(of(deeper, [])[0]).toEqual(['routerBit', 30, null]);
  });

  it('of a bore, a slot, a window and a plug: the drill of its size, a file, the drill that bores for the dowel', () => {
    const drills: Tool = { id: 'd', kind: 'drills', name: 'set', system: 'metric', from: 3, to: 10 };
    const file: Tool = { id: 'f', kind: 'file', name: 'flat file' };
    const a = { ...plainAnatomy(), holes: [hole('socket', 'jack', 9.8, { face: 'side', through: false, depth: dim(20) }), hole('volume', 'pot', 8)] };
    const of = (work: WorkItem, tools: readonly Tool[], stock: readonly StockItem[] = []) =>
      needs({ ...newHardwareChoice('socket', { on: 'feature', feature: 'socket' }, null), work: [work] }, tools, { anatomy: a, stock }).map((n) => [
        n.need,
        n.has,
      ]);
    const deeper: WorkItem = { kind: 'deepenBore', does: [{ kind: 'deepenHole', hole: 'socket', depth: dim(28) }] };
    expect(of(deeper, [drills, gauge])).toEqual([
      ['drill', '3.0 mm, 9.8 mm'],
      ['depthTool', 'gauge'],
    ]);
    expect(of(deeper, [gauge])).toContain(['drill', null]);
    for (const kind of ['openSlot', 'openWindow'] as const)
      expect([of({ kind, does: [] }, [file]), of({ kind, does: [] }, [])]).toEqual([[['file', 'flat file']], [['file', null]]]);
    // the dowel of the rack that is thick enough wants a bore of its own size
    const dowel: StockItem = { id: 'w', kind: 'dowel', wood: 'maple', diameter: 10, length: 100, quantity: 1, drawer: 'rack' };
    expect(of({ kind: 'plugHole', does: [{ kind: 'closeHole', hole: 'volume' }] }, [drills], [dowel])).toEqual([
      ['dowel', 'maple 10.0 mm, rack'],
      ['glue', null],
      ['drill', '3.0 mm, 10.0 mm'],
    ]);
    // every kind that cuts asks for something
    for (const kind of Object.keys(HOUSE.operations)) if (isIrreversible(kind)) expect(HOUSE.plans[kind]).withContext(kind).toBeDefined();
  });

  it('keeps the gate shut until somebody says how it goes without', () => {
    const [lacking] = needs(plainChoice({ route }), []);
    const judge = (accepted: readonly string[]) =>
      clearToCut(gateOf({ evaluation: { anatomy: plainAnatomy(), verdicts: [] }, found: plainAnatomy(), needs: [lacking!], accepted: new Set(accepted) }))
        .clear;
    expect([judge([]), judge([overrideKey(needKey(lacking!))])]).toEqual([false, true]);
  });
});

describe('what rules put before a cut', () => {
  const of = (kind: OperationKind, state: OperationState = 'proposed', decision = 'd'): PlacedOperation => operationOf(kind, { state, decision });
  const all = [of('removePart', 'done'), of('tracePlate'), of('fixTemplate'), of('boreBulk'), of('routePasses'), of('testFit')];

  it('is stated for the next cut, done or not, and not what a rule only prefers', () => {
    expect(beforeCut('d', all, []).map((b) => [b.operation, b.ok])).toEqual([
      ['removePart', true],
      ['tracePlate', false],
      ['fixTemplate', false],
    ]);
    const bored = all.map((o) => (o.kind === 'testFit' || o.kind === 'routePasses' ? o : { ...o, state: 'done' as const }));
    expect(beforeCut('d', bored, []).map((b) => [b.operation, b.ok])).toContain(['boreBulk', true]);
    expect(beforeCut('another', all, [])).toEqual([]);
  });

  it('counts as fulfilled where somebody waived the rule, and shuts the gate where not', () => {
    const waiver = (operation: string, rule: string) => ({ id: operation, rule, operations: [operation, 'boreBulk'], reason: 'r', person: 'p' });
    const waived = beforeCut('d', all, [waiver('tracePlate', 'traceBeforeTemplate'), waiver('fixTemplate', 'templateBeforeCuts')]);
    expect(waived.every((b) => b.ok)).toBeTrue();
    const judge = (before: typeof waived) => clearToCut(gateOf({ evaluation: { anatomy: plainAnatomy(), verdicts: [] }, found: plainAnatomy(), before })).clear;
    expect([judge(waived), judge(beforeCut('d', all, []))]).toEqual([true, false]);
  });
});
