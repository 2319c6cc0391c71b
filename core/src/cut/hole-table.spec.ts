import { evaluatePlan } from '../house/index.js';
import { newHardwareChoice, type HardwareChoice, type PlanState } from '../check/index.js';
import type { Anatomy, Hole } from '../instrument/index.js';
import { valueOf } from '../measure/index.js';
import type { Act, OperationKind } from '../operation/index.js';
import { hole } from '../testing/hardware.js';
import { dim, plainAnatomy, plainState, plainTools } from '../testing/plan.js';
import { holeTable, type HoleLine } from './index.js';

const drills = { id: 'd', kind: 'drills' as const, name: 'set', system: 'metric' as const, from: 3, to: 10 };
const limits = { limit: 0.1, basis: { kind: 'planned' as const } };

function linesOf(holes: readonly Hole[], ...choices: readonly HardwareChoice[]): readonly HoleLine[] {
  const a: Anatomy = { ...plainAnatomy(), holes };
  const state: PlanState = { ...plainState(a), tools: [...plainTools, drills, { id: 'c', kind: 'countersink', name: 'c', diameter: 16 }] };
  const plan = { format: 5 as const, choices };
  return holeTable(state, plan, evaluatePlan(state, plan));
}
const at = (id: string, does: readonly Act[], kind: OperationKind = 'openHole'): HardwareChoice => ({
  ...newHardwareChoice(id, { on: 'feature', feature: id }, null),
  work: does.length === 0 ? [] : [{ kind, does }],
});
const size = (value: number, id = 'volume') => ({ kind: 'sizeHole' as const, hole: id, by: 'drill' as const, diameter: { value, ...limits } });

describe('the holes of a job', () => {
  it('tell how one is opened: drill by drill, its size in bare wood, and what to heed', () => {
    const [line] = linesOf([hole('volume', 'pot', 8)], at('volume', [size(9.7)]));
    expect([line!.work, line!.now, line!.finished, line!.through, line!.stop]).toEqual(['open', 8, 9.7, true, null]);
    expect(line!.drills.map((d) => d.diameter)).toEqual([8.5, 9, 9.5, 9.7]);
    // a film of 0.15 on both sides
    expect(valueOf(line!.bare!)).toBeCloseTo(10, 9);
    expect(line!.watchFor).toEqual(['scratchFinish', 'backBoard']);
  });

  it('put the stop of a blind one behind its point: 12 deep with 8, 2.40 of point', () => {
    const blind = hole('new', 'screw', 8, { through: false, depth: { value: 12, ...limits } });
    const [line] = linesOf([], at('x', []), {
      ...at('body', [{ kind: 'addHole', hole: blind }], 'drillRow'),
      place: { on: 'face', face: 'top', at: { x: 60, y: 240 }, hole: 'screw' },
    });
    expect(valueOf(line!.stop!)).toBeCloseTo(12 + 4 / Math.tan((59 * Math.PI) / 180), 9);
    expect([line!.work, line!.depth, line!.now, line!.drills.map((d) => d.diameter)]).toEqual(['new', 12, null, [3, 8]]);
  });

  it('know one that is plugged and drilled, closed, moved or bored deeper, near the edge or in sight', () => {
    const holes = [
      hole('volume', 'pot', 9.7),
      hole('tone', 'pot', 8, { at: { x: 80, y: 240 } }),
      hole('gone', 'pot', 8, { at: { x: 152, y: 240 } }),
      hole('socket', 'jack', 9, { face: 'side', through: false, depth: dim(20) }),
    ];
    const lines = linesOf(
      holes,
      at('volume', [{ kind: 'closeHole', hole: 'volume' }, size(7.2)], 'drillHole'),
      at('tone', [{ kind: 'moveHole', hole: 'tone', at: { x: 90, y: 240 }, limit: 0.1, basis: { kind: 'planned' } }], 'drillHole'),
      at('gone', [{ kind: 'closeHole', hole: 'gone' }], 'plugHole'),
      at('socket', [{ kind: 'deepenHole', hole: 'socket', depth: { value: 25, ...limits } }], 'deepenBore'),
    );
    expect(lines.map((l) => [l.hole, l.work, l.finished, l.depth])).toEqual([
      ['volume', 'plugAndDrill', 7.2, null],
      ['tone', 'moved', 8, null],
      ['gone', 'close', null, null],
      ['socket', 'deepen', 9, 25],
    ]);
    expect(lines[0]!.watchFor).toEqual(['curePlug', 'backBoard']);
    expect(lines[2]!.watchFor).toEqual(['inSight']);
    const [edge] = linesOf([hole('edge', 'pot', 8, { at: { x: 150, y: 240 } })], at('edge', [size(9, 'edge')]));
    expect(edge!.watchFor).toContain('nearEdge');
    expect(linesOf(holes, at('volume', []))).toEqual([]);
  });
});
