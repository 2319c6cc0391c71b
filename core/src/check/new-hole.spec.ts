import { evaluateChoice, optionsFor } from '../house/index.js';
import type { Cavity, Hole } from '../instrument/index.js';
import { newHoleSteps } from '../cut/index.js';
import type { Hardware, HardwareKind, SizeId, Tool } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainState } from '../testing/plan.js';
import { newHardwareChoice, spotForHole, type HardwareChoice, type PlanState, type Verdict } from './index.js';

const part = (kind: HardwareKind, sizes: Partial<Record<SizeId, number>>): Hardware => partOf('part', kind, sizes);
const pot = part('pot', { bushing: 9.4, threadLength: 14, body: 24, depthBelow: 13, washer: 14 });
const there = (x: number, y: number, more: Partial<Hole> = {}): Hole => hole('there', 'pot', 8, { at: { x, y }, ...more });
const control = controlOf(36);
function stateWith(of: Hardware, holes: readonly Hole[], cavities: readonly Cavity[]): PlanState {
  const a = plainAnatomy();
  const s = plainState({ ...a, holes, cavities: [...a.cavities, ...cavities] });
  return { ...s, parts: { ...s.parts, [of.id]: of } };
}
const at = (x: number, y: number): HardwareChoice => newHardwareChoice('new', { on: 'face', face: 'top', at: { x, y }, hole: 'pot' }, 'part');
const verdict = (s: PlanState, c: HardwareChoice, check: Verdict['check'], against?: string): Verdict | undefined =>
  evaluateChoice(s, c).verdicts.find((v) => v.check === check && (against === undefined || v.subject.against === against));

describe('what hangs below a new hole', () => {
  it('has nothing to hang in where the wood is whole: all of its depth is missing', () => {
    const v = verdict(stateWith(pot, [], []), at(60, 240), 'cavityBehind')!;
    expect([v.class, v.clearance, v.minimum]).toEqual(['clashes', -13, 1]);
  });

  it('is judged by the cavity behind it where there is one', () => {
    const s = stateWith(pot, [], [control]);
    expect(verdict(s, at(60, 240), 'cavityBehind')).toBeUndefined();
    expect(verdict(s, at(60, 240), 'bodyInRoom')!.class).toBe('well');
  });

  it('is no price of what has no body, nor in the side of the body', () => {
    expect(verdict(stateWith(part('ferrule', { outer: 8 }), [], []), at(60, 240), 'cavityBehind')).toBeUndefined();
    const side = newHardwareChoice('new', { on: 'face', face: 'side', at: { x: 10, y: 20 }, hole: 'jack' }, 'part');
    expect(verdict(stateWith(part('jack', { bushing: 9.4, depthBelow: 28 }), [], []), side, 'cavityBehind')).toBeUndefined();
  });

  it('behind a hole that is there, is not drawn yet: not measured, which is no clash', () => {
    const v = verdict(stateWith(pot, [there(60, 240)], []), newHardwareChoice('there', { on: 'feature', feature: 'there' }, 'part'), 'cavityBehind')!;
    expect([v.class, v.missing]).toEqual(['notMeasured', []]);
  });

  it('moves to the nearest spot with a cavity, not looking where there is none', () => {
    const s = stateWith(pot, [], [control]);
    const choice = at(30, 240);
    const moved = optionsFor({ ...s, tools: [] }, { format: 5, choices: [choice] }, choice, { kind: null, reversibleOnly: false, doNotTouch: [] }).find(
      (o) => o.proposal.kind === 'move',
    )!;
    const { place } = moved.proposal.choice as HardwareChoice;
    // from the wall at 30: 12 for its half body, 1 wanted, 0.3 for the errors, in whole steps
    expect(place.on === 'face' && place.at.x).toBe(44);
    expect(moved.evaluation.verdicts.filter((v) => v.class === 'clashes')).toEqual([]);
  });
});

describe('wood beside a new hole', () => {
  // 9.4 + 0.2 wide: 4.8 from its middle to its edge
  it('is told to the nearest hole: 30 − 4.8 − 4 = 21.2', () => {
    const v = verdict(stateWith(pot, [there(60, 270), there(60, 320, { id: 'far' })], [control]), at(60, 240), 'holeBeside', 'there')!;
    expect(v.clearance).toBeCloseTo(21.2, 6);
    expect(v.class).toBe('well');
  });

  it('clashes with a hole that it would break into, and not with one that is plugged or in the other face', () => {
    const s = (more: Partial<Hole>): PlanState => stateWith(pot, [there(65, 240, more)], [control]);
    expect(verdict(s({}), at(60, 240), 'holeBeside', 'there')!.clearance).toBeCloseTo(-3.8, 6);
    expect(verdict(s({ condition: 'plugged' }), at(60, 240), 'holeBeside', 'there')).toBeUndefined();
    expect(verdict(s({ face: 'back' }), at(60, 240), 'holeBeside', 'there')).toBeUndefined();
  });

  it('is told to a cavity of its face, and to the body’s edge: at x = 150 of 160, 10 − 4.8 = 5.2', () => {
    const s = stateWith(pot, [], []);
    expect(verdict(s, at(150, 240), 'holeBeside', 'body')!.clearance).toBeCloseTo(5.2, 6);
    // the route of 80 × 30 round (0, 110) ends at x = 40
    expect(verdict(s, at(50, 110), 'holeBeside', 'route')!.clearance).toBeCloseTo(5.2, 6);
  });
});

describe('the drills of a new hole', () => {
  const set: Tool = { id: 'set', kind: 'drills', name: 'Set', system: 'metric', from: 1, to: 10 };
  it('are a pilot and the full size', () => {
    expect(newHoleSteps(9.65, [set]).drills.map((x) => x.name)).toEqual(['3.0 mm', '9.7 mm']);
    expect(newHoleSteps(2.5, [set]).drills.map((x) => x.name)).toEqual(['2.5 mm']);
  });
  it('name what is missing', () => {
    const s = newHoleSteps(12.05, [set]);
    expect([s.final, s.drills, s.lacks]).toEqual([12.1, [], [{ kind: 'drill', diameter: 12.1 }, { kind: 'countersink' }]]);
  });
});

describe('where a new hole is first thought of', () => {
  it('is over the control cavity of the other face, in the middle of the body where there is none, at its end on the side', () => {
    const bare = plainAnatomy();
    const a = { ...bare, cavities: [...bare.cavities.filter((c) => c.id !== 'back'), control] };
    const shallow = { ...control, id: 'shallow', levels: [{ ...control.levels[0]!, depth: dim(12), outline: edge(roundedRectangle(20, 20, 2)) }] };
    expect(spotForHole({ ...a, cavities: [shallow, ...a.cavities] }, 'top')).toEqual({ x: 60, y: 240 });
    expect(spotForHole({ ...a, cavities: [] }, 'top')).toEqual({ x: 0, y: 180 });
    const end = Math.max(...bare.body.outline!.outline.vertices.map((v) => v.y));
    expect(spotForHole(a, 'side')).toEqual({ x: bare.body.thickness!.value / 2, y: end });
    expect(spotForHole(a, 'headstock front')).toBeNull();
  });
});
