// What is longer than the hole it goes into. Lengths by hand; a stud's collar may stand 3 off its bush at the lowest [memory], its thread is in by its diameter [memory].
import { evaluatePlan, optionsFor } from '../house/index.js';
import type { Cavity, Hole } from '../instrument/index.js';
import type { Hardware } from '../part/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, plainAnatomy, plainPlan, plainState } from '../testing/plan.js';
import type { HardwareChoice, PlanState, Verdict } from './index.js';

const choice = (part: string): HardwareChoice => ({
  kind: 'hardware',
  id: 'x',
  place: { on: 'feature', feature: 'bore' },
  part,
  alternatives: [],
  count: 1,
  work: [],
});

/** A blind hole in the top, away from every cavity: 44 of wood. */
const blind = (kind: Hole['kind'], diameter: number, depth: number | null, more: Partial<Hole> = {}): Hole =>
  hole('bore', kind, diameter, { at: { x: 100, y: 240 }, through: false, depth: depth === null ? null : dim(depth), ...more });

function stateOf(part: Hardware, bore: Hole, others: readonly Hardware[] = [], cavities: readonly Cavity[] = []): PlanState {
  const a = plainAnatomy();
  const state = plainState({ ...a, holes: [bore], cavities: [...a.cavities, ...cavities] });
  return { ...state, parts: { ...state.parts, ...Object.fromEntries([part, ...others].map((p) => [p.id, p])) } };
}

function said(state: PlanState, part: string): (check: string) => Verdict | undefined {
  const { verdicts } = evaluatePlan(state, plainPlan(choice(part)));
  return (check) => verdicts.find((v) => v.check === check);
}

const titles = (state: PlanState, part: string): readonly (readonly [string, number | undefined, boolean])[] =>
  optionsFor(state, plainPlan(choice(part)), choice(part), { kind: null, reversibleOnly: false, doNotTouch: [] }).flatMap((o) =>
    o.proposal.of.map((p) => [p.kind, p.by, o.excluded === null] as const),
  );

const screw = (length: number): Hardware => partOf('screw', 'wood screw', { diameter: 3.5, length }, { gauge: 6 });
const bush = (length: number): Hardware => partOf('bush', 'bush', { outer: 11.2, length, flange: 14 }, { thread: 'M8 × 1.25', traits: { surface: 'knurled' } });
const stud = (length: number): Hardware => partOf('stud', 'stud', { diameter: 8, length, head: 16 }, { thread: 'M8 × 1.25' });

describe('a part that is longer than its hole is deep', () => {
  it('a screw of 25 in a pilot of 15 lacks 10: the pilot goes deeper, another screw, or this one is ground', () => {
    const state = stateOf(screw(25), blind('screw', 2.3, 15));
    const v = said(state, 'screw')('depthOfHole')!;
    expect([v.clearance, v.class]).toEqual([-10, 'clashes']);
    expect(said(stateOf(screw(12), blind('screw', 2.3, 15)), 'screw')('depthOfHole')!.class).toBe('well');
    const all = titles(state, 'screw');
    // 15 + 10 and what neither is known by, up to the next half; ground to what is left: 25 − 10.5 holds by 14.5
    expect(all.filter(([kind]) => kind === 'deepenBore').map(([, by, solves]) => [by! >= 25 && by! <= 26, solves])).toEqual([[true, true]]);
    expect(all.filter(([kind]) => kind === 'trim').map(([, by]) => by! >= 10 && by! <= 11)).toEqual([true]);
  });

  it('a bush of 25 in a bore of 15 lacks 10, and is not ground; one that goes through asks for nothing', () => {
    const state = stateOf(bush(25), blind('stud', 11, 15));
    const v = said(state, 'bush')('depthOfHole')!;
    expect([v.clearance, v.class]).toEqual([-10, 'clashes']);
    expect(titles(state, 'bush').map(([kind]) => kind)).toContain('deepenBore');
    expect(titles(state, 'bush').map(([kind]) => kind)).not.toContain('trim');
    expect(said(stateOf(bush(25), blind('stud', 11, null)), 'bush')('depthOfHole')!.missing).toEqual([{ quantity: 'holeDepth', feature: 'bore' }]);
    expect(said(stateOf(bush(25), blind('stud', 11, null, { through: true })), 'bush')('depthOfHole')).toBeUndefined();
  });

  it('is not bored deeper through what lies below: 44 less a control cavity of 20 leaves 24 under it', () => {
    const under: Cavity = { ...controlOf(20), levels: controlOf(20).levels };
    const at = { at: { x: 60, y: 240 } };
    const state = stateOf(bush(25), blind('stud', 11, 15, at), [], [under]);
    // to 25 and more of 24
    expect(titles(state, 'bush').filter(([kind, , solves]) => kind === 'deepenBore' && solves)).toEqual([]);
    const deep = { ...choice('bush'), work: [{ kind: 'deepenBore' as const, does: [{ kind: 'deepenHole' as const, hole: 'bore', depth: dim(22, 0.2) }] }] };
    const floor = evaluatePlan(state, plainPlan(deep)).verdicts.find((v) => v.check === 'woodUnderBore')!;
    // 44 − 22 − 20
    expect([floor.clearance, floor.class, floor.about]).toEqual([2, 'thin', ['restsTwice', 'structural']]);
  });
});

describe('a stud in its bush', () => {
  const inBush = (length: number, deep: number, thread = 25) => {
    const state = stateOf(stud(length), blind('stud', 11, deep, { part: 'bush' }), [bush(thread)]);
    return { state, of: said(state, 'stud') };
  };

  it('of 60 in a bush of 25 stands 35 off at its lowest, 32 more than it may, with 25 of thread in', () => {
    const { state, of } = inBush(60, 25);
    expect([of('collarProud')!.clearance, of('collarProud')!.class]).toEqual([-32, 'clashes']);
    expect(of('studEngages')!.clearance).toBe(25 - 8);
    // ground by 32 and what is not known, 27.5 are left
    expect(
      titles(state, 'stud')
        .filter(([kind]) => kind === 'trim')
        .map(([, by]) => by! >= 32 && by! <= 33),
    ).toEqual([true]);
  });

  it('goes on into a bore that is deeper than its bush', () => {
    expect(inBush(40, 42).of('collarProud')!.class).toBe('well');
    expect(inBush(40, 25).of('collarProud')!.clearance).toBe(3 - 15);
  });

  it('of 6 has too little thread in: 6 of 8', () => {
    const v = inBush(6, 25).of('studEngages')!;
    expect([v.clearance, v.class]).toEqual([-2, 'clashes']);
  });

  it('says nothing where no bush is there', () => {
    const of = said(stateOf(stud(60), blind('stud', 11, 25)), 'stud');
    expect([of('collarProud'), of('studEngages')]).toEqual([undefined, undefined]);
  });
});
