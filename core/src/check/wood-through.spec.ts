// What a carved top adds to the wood: between nothing and its height. Expected numbers by hand.
import { evaluateChoice, evaluatePlan } from '../house/index.js';
import type { Anatomy } from '../instrument/index.js';
import { roundedRectangle } from '../shape/index.js';
import { controlOf, hole, partOf } from '../testing/hardware.js';
import { dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { newHardwareChoice, type PlanState, type Verdict } from './index.js';

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

  it('lets walls lean where it still rises, by depth times slope, and nowhere else', () => {
    const walls = (carve: Anatomy['body']['carve'], x: number, face: 'top' | 'back' = 'top'): ReadonlyMap<string, number> => {
      const a = anatomy(carve, { cavities: plainAnatomy().cavities.map((c) => ({ ...c, face: c.id === 'route' ? face : c.face })) });
      const at = { ...route, at: { ...route.at, x } };
      const said = evaluateChoice(plainState(a), plainChoice({ route: at })).verdicts;
      const planned = said.filter((v) => (v.check === 'wall' || v.check === 'edgeOfBody') && v.subject.item === 'planned');
      return new Map(planned.map((v) => [v.id, v.worst!]));
    };
    const flat = { kind: 'flat', height: null } as const;
    const leans = (carve: Anatomy['body']['carve'], x: number, face: 'top' | 'back' = 'top'): readonly number[] => {
      const [level, leaning] = [walls(flat, x, face), walls(carve, x, face)];
      expect([...leaning.keys()].sort()).toEqual([...level.keys()].sort());
      expect(level.size).toBeGreaterThan(1);
      return [...new Set([...level].map(([id, worst]) => Number((leaning.get(id)! - worst).toFixed(4))))];
    };
    const [carved, bevelled] = [
      { kind: 'carved', height: dim(12) },
      { kind: 'bevelled', height: dim(4) },
    ] as const;
    // 20 deep and 17 from the edge: 20 × π/2 × 12/60 and 20 × 4/25; 57 from it the bevel is over, 117 from it the carve too
    expect(leans(carved, 100)).toEqual([6.2832]);
    expect(leans(bevelled, 100)).toEqual([3.2]);
    expect(leans(carved, 60)).toEqual([6.2832]);
    expect(leans(bevelled, 60)).toEqual([0]);
    expect(leans(carved, 0)).toEqual([0]);
    expect(leans(carved, 100, 'back')).toEqual([0]);
  });
});

describe('a floor that falls', () => {
  const falling = (fall: number | null, cavity = 'back'): PlanState =>
    plainState(
      anatomy(
        { kind: 'flat', height: null },
        {
          cavities: plainAnatomy().cavities.map((c) =>
            c.id === cavity ? { ...c, levels: c.levels.map((p) => ({ ...p, fall: fall === null ? null : dim(fall) })) } : c,
          ),
        },
      ),
    );
  const of = (state: PlanState, check: string, item?: string): Verdict =>
    evaluateChoice(state, plainChoice({ route: item === 'planned' ? route : null })).verdicts.find(
      (v) => v.check === check && (item === undefined || v.subject.item?.startsWith(item)),
    )!;

  it('leaves the number of its middle, known less surely by half of the fall', () => {
    // 44 − 20 − 14: at one end of the cavity below 0.6 less, at the other 0.6 more
    const [level, falls] = [of(falling(null), 'floor', 'planned'), of(falling(1.2), 'floor', 'planned')];
    expect([level.clearance, falls.clearance]).toEqual([10, 10]);
    expect(falls.worst! - level.worst!).toBeCloseTo((1.2 + 0.05) / 2, 9);
    expect(of(falling(12), 'floor', 'planned').class).not.toBe('well');
  });

  it('counts behind the plug of a jack in a plate', () => {
    const at = (fall: number | null): Verdict => {
      const cavities = plainAnatomy().cavities.map((c) =>
        c.id === 'route' ? { ...c, levels: c.levels.map((p) => ({ ...p, fall: fall === null ? null : dim(fall) })) } : c,
      );
      const s = plainState({ ...plainAnatomy(), cavities, holes: [hole('jack', 'jack', 9.7, { at: { x: 0, y: 110 } })] });
      const jack = partOf('jack', 'jack', { bushing: 9.4, plugInside: 16 });
      const choices = [newHardwareChoice('jack', { on: 'feature', feature: 'jack' }, 'jack')];
      return evaluatePlan({ ...s, parts: { ...s.parts, jack } }, { format: 5, choices }).verdicts.find((v) => v.check === 'plugInside')!;
    };
    // 18 deep under the plate, 16 of plug
    expect([at(null).clearance, at(3).clearance]).toEqual([2, 2]);
    expect(at(3).worst! - at(null).worst!).toBeCloseTo((3 + 0.05) / 2, 9);
  });

  it('counts under a part in the route as well', () => {
    const [level, falls] = [of(falling(null, 'route'), 'depthUnderPart'), of(falling(3, 'route'), 'depthUnderPart')];
    expect(falls.clearance).toBe(level.clearance);
    expect(falls.worst! - level.worst!).toBeCloseTo((3 + 0.05) / 2, 9);
  });
});
