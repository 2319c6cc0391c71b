import { evaluatePlan, optionsFor, plannedWork, waysOf } from '../house/index.js';
import { bareChoice, HOUSE } from '../house/index.js';
import { newHardwareChoice, withChoice, type HardwareChoice, type PlanState } from '../check/index.js';
import type { Tool } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { controlOf, d, hole, partOf } from '../testing/hardware.js';
import { boxPickup, inDrawer, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import { fitsBeside, together, wayOut, type Option, type OwnerRequest, type Proposal } from './index.js';

const request: OwnerRequest = { kind: null, reversibleOnly: false, doNotTouch: [] };
const tools: readonly Tool[] = [{ id: 'set', kind: 'drills', name: 'Set', system: 'metric', from: 3, to: 10 }];
const proposal = (kind: string, more: Partial<Proposal> = {}): Proposal => ({ id: kind, kind, sets: {}, risk: 0, price: 0, lacks: [], ...more });
const kinds = (list: readonly Option[]): readonly string[] => list.map((o) => o.proposal.kind);
const clashes = (o: Option): readonly string[] => o.evaluation.verdicts.filter((v) => v.class === 'clashes').map((v) => v.check);

/** A pot of 900 whose bushing, thread and depth are as typed, to go through a hole of 8 into a control cavity of some depth. */
function potIn(
  depth: number,
  sizes: { readonly bushing: number; readonly threadLength: number; readonly depthBelow: number },
): { state: PlanState; choice: HardwareChoice } {
  const a = plainAnatomy();
  const pot = partOf('big', 'pot', { ...sizes, body: 24, washer: 14 }, { price: 900 });
  const s = plainState({ ...a, holes: [hole('volume', 'pot', 8)], cavities: [...a.cavities, controlOf(depth)] });
  return { state: { ...s, tools, parts: { ...s.parts, big: pot } }, choice: newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'big') };
}
const optionsOf = ({ state, choice }: ReturnType<typeof potIn>): readonly Option[] => optionsFor(state, { format: 5, choices: [choice] }, choice, request);

describe('remedies together', () => {
  it('clear what none of them clears alone: a hole too small over a cavity too shallow', () => {
    const job = potIn(30, { bushing: 9.4, threadLength: 18, depthBelow: 34 });
    const list = optionsOf(job);
    expect(kinds(list.filter((o) => o.excluded === null)).toSorted()).toEqual(['openHole + deepen', 'openHole + spacer', 'openHole + thickerCover']);
    expect(kinds(list.filter((o) => o.excluded?.kind === 'unsolved')).toSorted()).toEqual(['asItIs', 'deepen', 'openHole', 'spacer', 'thickerCover']);
    const both = list.find((o) => o.proposal.kind === 'openHole + deepen')!;
    expect([clashes(both), both.newClashes]).toEqual([[], []]);
    expect(plannedWork(job.state, both.proposal.choice).map((w) => w.kind)).toEqual(['openHole', 'deepenRoute', 'fitHardware']);
    // the part is bought once; 0.25 and 0.3 go wrong together in 1 − 0.75 · 0.7
    expect([both.proposal.price, both.proposal.lacks]).toEqual([900, [{ kind: 'part', part: 'big' }, { kind: 'countersink' }]]);
    expect(both.proposal.risk).toBeCloseTo(0.475, 12);
    expect(list.find((o) => o.proposal.kind === 'openHole + spacer')!.proposal.price).toBe(900 + 300);
  });

  it('are not told where one will do', () => {
    const list = optionsOf(potIn(36, { bushing: 6.5, threadLength: 14, depthBelow: 38 }));
    expect(kinds(list.filter((o) => o.excluded === null)).toSorted()).toEqual(['deepen', 'spacer', 'thickerCover']);
    expect(kinds(list).some((k) => k.includes('+'))).toBeFalse();
  });

  it('spare the wood of a pickup place: ears filed back, and a spacer for what is missing below', () => {
    const a = plainAnatomy();
    const [plate] = a.plates;
    const openings = plate!.openings.map((o) => ({ ...o, outline: { ...o.outline, outline: roundedRectangle(79, 29, 3, { x: 0, y: 110 }) } }));
    const sheet = { kind: 'sheet' as const, part: 'eared' };
    const box = boxPickup('eared', 70, 28, 18.5);
    const ears = {
      id: 'ears' as const,
      shapes: [{ outline: roundedRectangle(80.4, 14, 3), limit: 0.05, basis: sheet }],
      from: 4,
      lowest: { value: 9, limit: 0.05, basis: sheet },
    };
    const part = { ...box, tiers: [...box.tiers, ears], screws: { ...box.screws, at: [-36, 36].map((x) => ({ x, y: 0 })), lowest: d(16) } };
    const s = plainState({ ...a, plates: [{ ...plate!, openings }] });
    const state = { ...s, parts: { ...s.parts, eared: part }, stock: [...s.stock, inDrawer('eared')] };
    const choice = plainChoice({ part: 'eared' });
    const list = optionsFor(state, plainPlan(choice), choice, request);
    const both = list.find((o) => o.proposal.kind === 'trim + spacer')!;
    expect([both.excluded, clashes(both), both.back.woodCut, both.back.partCut]).toEqual([null, [], false, true]);
    expect(kinds(list)).toContain('trim + deepen');
    // by itself neither does
    expect(list.find((o) => o.proposal.kind === 'trim')!.excluded?.kind).toBe('unsolved');
    expect(kinds(list)).not.toContain('spacer');
    expect(
      optionsFor(state, plainPlan(choice), choice, { ...request, reversibleOnly: true }).find((o) => o.proposal.kind === 'trim + spacer')!.excluded,
    ).toBeNull();
  });

  it('stand side by side only where they set, do and act on other things, and neither excludes the other', () => {
    const deeper = (level: string): Proposal['sets'] => ({
      work: [{ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'c', level, depth: { value: 20, limit: 0.2, basis: { kind: 'planned' } } }] }],
    });
    const sized = (kind: string, hole: string): Proposal['sets'] => ({
      work: [{ kind, does: [{ kind: 'sizeHole', hole, by: 'drill', diameter: { value: 9, limit: 0.1, basis: { kind: 'planned' } } }] }],
    });
    const pairs: readonly (readonly [Proposal, Proposal, boolean])[] = [
      [proposal('a', { sets: deeper('l') }), proposal('b', { sets: sized('openHole', 'h') }), true],
      [proposal('a', { sets: deeper('l') }), proposal('b', { sets: deeper('m') }), false],
      [proposal('a', { sets: sized('openHole', 'h') }), proposal('b', { sets: sized('fitSleeve', 'h') }), false],
      [proposal('a', { sets: sized('openHole', 'h') }), proposal('b', { sets: sized('fitSleeve', 'i') }), true],
      [proposal('a', { sets: { part: 'x' } }), proposal('b', { sets: { part: 'y' } }), false],
      [proposal('a', { sets: { part: 'x' } }), proposal('b', { sets: { fill: true } }), true],
      [proposal('a', { excludes: ['b'] }), proposal('b'), false],
      [proposal('a', { excludes: ['c'] }), proposal('b'), true],
      [proposal('a', { excludes: 'all' }), proposal('b'), false],
    ];
    for (const [a, b, fits] of pairs) expect([fitsBeside(a, [b]), fitsBeside(b, [a])]).toEqual([fits, fits]);
    expect(fitsBeside(proposal('a'), [])).toBeTrue();
    const both = together(plainChoice(), [proposal('a', { sets: { part: 'x', ...deeper('l') } }), proposal('b', { sets: sized('openHole', 'h') })]);
    expect([both.part, both.work!.map((w) => w.kind)]).toEqual(['x', ['deepenRoute', 'openHole']]);
    const choice = plainChoice();
    expect(together(choice, [proposal('a')])).toBe(choice);
  });

  it('cost the part once, wait for the longest, lack a thing once', () => {
    const glue = { kind: 'offcut' as const };
    const of = [
      proposal('a', { price: 1200, risk: 0.3, wait: 60, lacks: [glue] }),
      proposal('b', { price: 1500, risk: 0.1, wait: 720, lacks: [glue, { kind: 'countersink' }] }),
    ];
    const way = wayOut(plainChoice(), of, 900);
    expect([way.id, way.price, way.wait, way.lacks]).toEqual(['a + b', 1800, 720, [glue, { kind: 'countersink' }]]);
    expect(way.risk).toBeCloseTo(0.37, 12);
    expect(wayOut(plainChoice(), [of[0]!], 900).price).toBe(1200);
    expect('wait' in wayOut(plainChoice(), [proposal('a')], 0)).toBeFalse();
  });

  it('leave no clash, have nothing to spare, and miss none that a search through all of them finds: 60 seeded pots', () => {
    const random = seeded(16);
    const within = (from: number, to: number): number => Math.round((from + random() * (to - from)) * 10) / 10;
    let found = 0;
    for (let n = 0; n < 60; n++) {
      const job = potIn(within(14, 38), { bushing: within(6, 10), threadLength: within(5, 20), depthBelow: within(10, 40) });
      const { state, choice } = job;
      const plan = { format: 5 as const, choices: [choice] };
      const list = optionsOf(job);
      const what = JSON.stringify(state.parts['big']);
      const of = (o: Option): readonly string[] => o.proposal.of.map((p) => p.kind);
      const solving = list.filter((o) => clashes(o).length === 0).map(of);
      for (const o of list.filter((x) => x.proposal.of.length > 1)) {
        found += 1;
        expect(clashes(o)).withContext(what).toEqual([]);
        expect(solving.some((s) => s.length < of(o).length && s.every((k) => of(o).includes(k))))
          .withContext(`${o.proposal.kind} ${what}`)
          .toBeFalse();
      }
      const bare = bareChoice(choice);
      const now = evaluatePlan(state, plan);
      const all = waysOf(choice)
        .proposals({ rows: HOUSE, state, plan, now }, choice, bare)
        .filter((p) => p.excludes !== 'all');
      for (const a of all)
        for (const b of all) {
          if (a.kind >= b.kind || !fitsBeside(a, [b])) continue;
          const both = evaluatePlan(state, withChoice(plan, together(bare, [a, b]))).verdicts;
          if (both.some((v) => v.class === 'clashes')) continue;
          expect(solving.some((s) => s.every((k) => k === a.kind || k === b.kind)))
            .withContext(`${a.kind} and ${b.kind} clear ${what}`)
            .toBeTrue();
        }
    }
    expect(found).toBeGreaterThan(10);
  });
});
