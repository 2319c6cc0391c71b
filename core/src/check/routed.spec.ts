import { cuttingFor, evaluateChoice, operationsOfBench, plannedWork, worksOf } from '../house/index.js';
import { roundedRectangle } from '../shape/index.js';
import { partOf } from '../testing/hardware.js';
import { plainAnatomy, plainState } from '../testing/plan.js';
import { leftBy } from '../testing/work.js';
import { newHardwareChoice, type HardwareChoice, type PlannedRoute } from './index.js';

describe('a route and a filling for a part that is no pickup', () => {
  const box = partOf('box', 'lever switch', { depthBelow: 20, bodyLength: 50, bodyWidth: 20 });
  const state = { ...plainState(), parts: { ...plainState().parts, box } };
  // 50 × 60 round the cavity's middle, 5 wider on both sides than it is: 25 deep
  const route: PlannedRoute = { at: { x: 0, y: 130, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(50, 60, 6), depth: 25, bored: false }] };
  const choice: HardwareChoice = { ...newHardwareChoice('box', { on: 'feature', feature: 'back' }, 'box'), route, fill: true };
  const works = (more: Partial<HardwareChoice> = {}): readonly string[] => worksOf({ ...choice, ...more }, state).map((w) => w.kind);

  it('is work of its own, in the order in which it is done, and only what is asked for', () => {
    expect(works()).toEqual(['fillRoute', 'tracePlate', 'fixTemplate', 'boreBulk', 'routePasses', 'fitHardware']);
    expect(works({ fill: false })).toEqual(['tracePlate', 'fixTemplate', 'boreBulk', 'routePasses', 'fitHardware']);
    expect(works({ route: null })).toEqual(['fillRoute', 'fitHardware']);
    expect(works({ route: { ...route, levels: [...route.levels, { id: 'well', outline: roundedRectangle(10, 10, 5), depth: 28, bored: true }] } })).toContain(
      'boreWells',
    );
  });

  it('is judged by the wood that it leaves: 44 − 25 − 18 over the route of the top is 1, and 135 is left to the body’s edge', () => {
    const { verdicts } = evaluateChoice(state, choice);
    const floor = verdicts.find((v) => v.check === 'floor' && v.subject.against === 'route')!;
    expect(floor.clearance).toBeCloseTo(44 - 25 - 18, 9);
    // the body is 320 wide: 160 − 25
    expect(verdicts.find((v) => v.check === 'edgeOfBody')!.clearance).toBeCloseTo(135, 9);
    expect(evaluateChoice(state, { ...choice, route: null, fill: false }).verdicts.some((v) => v.check === 'edgeOfBody')).toBeFalse();
  });

  it('has its passes and its minutes, and is left in the wood of its cavity', () => {
    expect(cuttingFor(state, choice)!.passes!.passes.at(-1)!.to).toBeCloseTo(25, 9);
    expect(plannedWork(state, choice).find((w) => w.kind === 'routePasses')!.minutes).toBeGreaterThan(0);
    const cut = leftBy('routePasses', choice, { ...state, anatomy: leftBy('fillRoute', choice, state) });
    const { levels } = cut.cavities.find((c) => c.id === 'back')!;
    expect(levels.map((p) => [p.id.split(' ')[0], p.depth?.value])).toEqual([['main', 25]]);
    const ordered = operationsOfBench({ operations: [], choices: { d: choice }, job: 'j', state, log: [] }).map((o) => o.kind);
    expect(ordered.indexOf('fillRoute')).toBeLessThan(ordered.indexOf('routePasses'));
    expect(plainAnatomy().cavities.find((c) => c.id === 'back')!.levels.length).toBe(1);
  });
});
