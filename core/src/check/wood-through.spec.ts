// What a carved top adds to the wood: between nothing and its height. Expected numbers by hand.
import { evaluateChoice, evaluatePlan } from '../house/index.js';
import type { Anatomy } from '../instrument/index.js';
import { roundedRectangle } from '../shape/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { newHardwareChoice, type Verdict } from './index.js';

const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 20, bored: false }] };
function anatomy(carve: Anatomy['body']['carve'], more: Partial<Anatomy> = {}): Anatomy {
  const a = plainAnatomy();
  return { ...a, ...more, body: { ...a.body, carve } };
}
const floor = (carve: Anatomy['body']['carve']): Verdict =>
  evaluateChoice(plainState(anatomy(carve)), plainChoice({ route })).verdicts.find((v) => v.check === 'floor' && v.subject.item?.startsWith('planned'))!;

describe('a top that is not flat', () => {
  it('gives its floors half of what it rises, give or take half', () => {
    // 44 − 20 − 14 of the back cavity; with a carve of 12 it is 10 to 22
    expect(floor({ kind: 'flat', height: null }).clearance).toBeCloseTo(10, 9);
    const carved = floor({ kind: 'carved', height: dim(12) });
    expect(carved.clearance).toBeCloseTo(16, 9);
    expect(carved.worst! - floor({ kind: 'flat', height: null }).worst!).toBeCloseTo((12 + 0.05) / 2, 9);
    expect(carved.class).toBe('well');
    expect(floor({ kind: 'bevelled', height: dim(4) }).clearance).toBeCloseTo(12, 9);
  });

  it('is to be measured first where nobody knows how high it is carved', () => {
    const unknown = floor({ kind: 'carved', height: null });
    expect([unknown.class, unknown.missing]).toEqual(['notMeasured', [{ quantity: 'carveHeight', feature: 'body' }]]);
  });

  it('enters the thread of a pot, the wood behind a hole and under a screw alike', () => {
    const control = controlOf(36);
    const a = (carve: Anatomy['body']['carve']) => anatomy(carve, { cavities: [...plainAnatomy().cavities, control], holes: [hole('volume', 'pot', 10)] });
    const pot = partOf('pot', 'pot', { bushing: 9.4, threadLength: 20, body: 24, depthBelow: 10 });
    const screw = partOf('wood screw', 'wood screw', { length: 13, diameter: 3 });
    const choices = [
      newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'),
      newHardwareChoice('x', { on: 'face', face: 'top', at: { x: 60, y: 300 }, hole: 'screw' }, 'wood screw'),
    ];
    const of = (carve: Anatomy['body']['carve'], check: string): Verdict => {
      const s = plainState(a(carve));
      const all = evaluatePlan({ ...s, parts: { ...s.parts, pot, 'wood screw': screw } }, { format: 5, choices }).verdicts;
      return all.find((v) => v.check === check)!;
    };
    const flat = { kind: 'flat', height: null } as const;
    const carved = { kind: 'carved', height: dim(6) } as const;
    // 20 − 8 of wood − 2.5; under a carve of 6 the wood is 8 to 14
    expect([of(flat, 'threadThrough').clearance, of(carved, 'threadThrough').clearance]).toEqual([9.5, 6.5]);
    expect([of(flat, 'screwPoint').clearance, of(carved, 'screwPoint').clearance]).toEqual([31, 34]);
    expect(of({ kind: 'carved', height: null }, 'screwPoint').missing).toEqual([{ quantity: 'carveHeight', feature: 'body' }]);
  });
});
