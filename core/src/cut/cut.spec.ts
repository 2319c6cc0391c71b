import type { PlannedLevel, PlannedRoute } from '../check/index.js';
import { valueOf } from '../measure/index.js';
import { settingsWith } from '../operation/index.js';
import { woodScrewShank, type TemplateBit, type Tool } from '../part/index.js';
import { circle, roundedRectangle, unreachableRests } from '../shape/index.js';
import { boxPickup, plainState, plainTools } from '../testing/plan.js';
import {
  boreDepth,
  depthForAll,
  depthSetUps,
  judgeTemplateBits,
  leastTemplate,
  lineInTheOpen,
  planBoring,
  planClearing,
  planCutting,
  planPasses,
  routeFigures,
} from './index.js';

const IN = 25.4;
const settings = settingsWith();
const bit: TemplateBit = { id: 's', kind: 'template', name: 's', diameter: 9.525, cuttingLength: 12.7, reach: 25 };
const level = (id: string, depth: number, bored = false): PlannedLevel => ({ id, outline: bored ? circle(6) : roundedRectangle(60, 30, 5), depth, bored });

describe('the three named depth set-ups', () => {
  it('s 1/32, t 3/16, d 7/8 in: 1 1/16, 1 1/32 and 1 3/32 in = 27.78125 mm, worked by hand', () => {
    const s = depthSetUps((7 / 8) * IN, IN / 32, (3 / 16) * IN);
    expect(valueOf(s.projection) / IN).toBeCloseTo(1 + 1 / 16, 9);
    expect(valueOf(s.overStraightEdge) / IN).toBeCloseTo(1 + 1 / 32, 9);
    expect(valueOf(s.finished)).toBeCloseTo(27.78125, 9);
  });

  it('without the template: d, d − s, s + d', () => {
    const s = depthSetUps(18, 0.8, null);
    expect([valueOf(s.projection), valueOf(s.overStraightEdge), valueOf(s.finished)].map((v) => Number(v.toFixed(6)))).toEqual([18, 17.2, 18.8]);
  });
});

describe('passes', () => {
  it('go by six, end on every floor, and take the template off where the reach ends', () => {
    const p = planPasses([level('a', 18), level('b', 22.5), level('w', 25, true)], bit, settings);
    expect(p.passes.map((x) => [x.from, x.to, x.guide])).toEqual([
      [0, 6, 'template'],
      [6, 12, 'template'],
      [12, 18, 'wall'],
      [18, 22.5, 'wall'],
    ]);
    expect(p.templateOffAfter).toBe(12);
    expect(p.passes.at(-1)?.levels).toEqual(['b']);
    expect(p.problems).toEqual([]);
  });

  it('keep the template on while the bit reaches: a reach of 40 never takes it off before 22.5', () => {
    expect(planPasses([level('a', 22.5)], { ...bit, reach: 40 }, settings).templateOffAfter).toBeNull();
  });

  it('tell when the bearing would have no wall to run on', () => {
    // a thick template takes the reach at once: nothing is cut, so there is no wall at 6 mm
    const p = planPasses([level('a', 18)], { ...bit, reach: 16 }, settingsWith({ templateThickness: 12 }));
    expect(p.problems[0]).toEqual(jasmine.objectContaining({ kind: 'noContact', at: 6, guide: 'wall', wall: 0 }));
  });
});

describe('template bits', () => {
  it('need t ≥ cutting length − pass + contact: 12.7 → 10.7, 25 → 23', () => {
    expect(valueOf(leastTemplate(12.7, 6, 4))).toBeCloseTo(10.7, 9);
    expect(valueOf(leastTemplate(25, 6, 4))).toBeCloseTo(23, 9);
  });

  it('are refused for a corner, a template or a reach, each at its threshold', () => {
    const judge = (corner: number, depth: number, t: number, more: Partial<TemplateBit> = {}): string | null =>
      judgeTemplateBits([{ ...bit, ...more }], corner, depth, settingsWith({ templateThickness: t }))[0]?.refusal?.kind ?? null;
    expect(judge(4.7625, 25, 10.7)).toBeNull();
    expect(judge(4.7, 25, 12)).toBe('cornerTooTight');
    expect(judge(5, 25, 10.6)).toBe('templateTooThin');
    expect(judge(5, 25.1, 12)).toBe('reachTooShort');
    expect([judge(5, 25, 12, { bearing: 9.5 }), judge(5, 25, 12, { bearing: 12.7 })]).toEqual([null, 'bearingOff']);
    const plunging = (endCutting: boolean): string | undefined => judgeTemplateBits([{ ...bit, endCutting }], 5, 20, settings, true)[0]!.refusal?.kind;
    expect([plunging(true), plunging(false)]).toEqual([undefined, 'cannotPlunge']);
  });
});

describe('boring', () => {
  it('stops the rim a spur above the floor: 18 − 2.5', () => {
    expect(valueOf(boreDepth(18, { id: 'b', kind: 'boring', name: 'b', diameter: 25, spur: 2.5 }))).toBeCloseTo(15.5, 9);
  });

  it('is cleared between the bores down to their rims, by passes, with a straight bit that reaches', () => {
    const straight = { id: 'x', kind: 'straight' as const, name: 'x', diameter: 6, cuttingLength: 20, reach: 30 };
    const rim = boreDepth(18, { id: 'b', kind: 'boring', name: 'b', diameter: 25, spur: 2.5 });
    const wide = roundedRectangle(86, 40, 5);
    const clear = (tools: readonly Tool[], line = wide, holes = [{ x: 0, y: 0 }]) => planClearing({ rimDepth: rim, holes }, line, tools, settings);
    expect(clear([straight])?.passes).toEqual([6, 12, 15.5]);
    expect(clear([{ ...straight, reach: 15 }])).toBeNull();
    expect(clear([{ ...straight, cuttingLength: 5 }])?.passes).toEqual([5, 10, 15, 15.5]);
    // 25.4 in a route 18 wide: never; 12 with the wood for the template bit on both sides goes in
    const by = (diameter: number) => ({ ...straight, id: `${diameter}`, diameter });
    const narrow = roundedRectangle(86, 18, 5);
    expect([clear([by(25.4)], narrow), clear([by(25.4), by(12)], narrow)?.bit.diameter, clear([by(25.4), by(12)])?.bit.diameter]).toEqual([null, 12, 25.4]);
    // nor where one of the bores lies in a narrow end
    expect(
      clear([by(25.4), by(12)], wide, [
        { x: 0, y: 0 },
        { x: 32, y: 0 },
      ])?.bit.diameter,
    ).toBe(12);
  });

  const s = plainState();
  const cavity = s.anatomy.cavities.find((c) => c.id === 'route')!;
  const main = (w: number, h: number, r: number, turn = 0): PlannedRoute => ({
    at: { x: 0, y: 110, turn },
    levels: [{ id: 'main', outline: roundedRectangle(w, h, r), depth: 19, bored: false }],
  });

  it('keeps every hole clear of the line by radius and what is left for the template bit', () => {
    const { boring } = planCutting(s, cavity, main(88, 44, 5));
    expect(boring!.holes.length).toBeGreaterThan(2);
    for (const h of boring!.holes) {
      expect(44 - Math.abs(h.x) - boring!.bit.diameter / 2).toBeGreaterThan(1.49);
      expect(22 - Math.abs(h.y - 110) - boring!.bit.diameter / 2).toBeGreaterThan(1.49);
    }
  });

  it('takes the share wanted of whole wood, with no more holes than a plain grid of rows needs', () => {
    for (const [w, h] of [
      [88, 44],
      [70, 60],
      [120, 40],
    ] as const) {
      const plan = planCutting(s, cavity, main(w, h, 5), true);
      const inset = [w - 25 - 3, h - 25 - 3].map((x) => Math.ceil(x / 20) + 1);
      // the circles of 25 in that ground cannot take the strip of 1.5 and the corners: the share is of all that goes
      expect(plan.boredShare).withContext(`${w} × ${h}`).toBeGreaterThan(0.55);
      expect(plan.boring!.holes.length)
        .withContext(`${w} × ${h}`)
        .toBeLessThanOrEqual(inset[0]! * inset[1]!);
    }
    // wanted less, it bores less
    const few = planBoring(main(88, 44, 5), [], plainTools, settingsWith({ boringShare: 0.2 }))!;
    expect(few.holes.length).toBe(2);
  });

  it('counts the share as pixels of 0.1 mm do, within 0.3 %, over whole wood, over an old cavity, and turned', () => {
    const old = [{ outline: roundedRectangle(80, 30, 0, { x: 0, y: 110 }), depth: 12 }];
    for (const [route, there] of [
      [main(88, 44, 5), []],
      [main(88, 44, 5), old],
      [main(60, 50, 5, 17), []],
    ] as const) {
      const b = planBoring(route, there, plainTools, settings)!;
      const rim = 19 - 2.5;
      let volume = 0;
      for (let x = -70; x < 70; x += 0.1)
        for (let y = 60; y < 160; y += 0.1) {
          if (!b.holes.some((h) => (h.x - x) ** 2 + (h.y - y) ** 2 < 12.5 ** 2)) continue;
          const open = there.length > 0 && Math.abs(x) < 40 && Math.abs(y - 110) < 15 ? 12 : 0;
          volume += 0.01 * (rim - open);
        }
      expect(Math.abs(b.volume / volume - 1)).toBeLessThan(0.003);
    }
  });

  it('leaves out what is cavity to the rim already, and goes by where no bit is small enough', () => {
    expect(planBoring(main(80, 30, 5), [{ outline: roundedRectangle(80, 30, 5, { x: 0, y: 110 }), depth: 18 }], plainTools, settings)).toBeNull();
    expect(planBoring(main(40, 8, 3), [], plainTools, settings)).toBeNull();
    expect(planBoring(main(88, 44, 5), [], [], settings)).toBeNull();
  });
});

describe('what else a cutting plan says', () => {
  const s = plainState();
  const cavity = s.anatomy.cavities.find((c) => c.id === 'route')!;
  const route = (w: number, h: number, r: number, depth = 19): PlannedRoute => ({
    at: { x: 0, y: 110, turn: 0 },
    levels: [{ id: 'main', outline: roundedRectangle(w, h, r), depth, bored: false }],
  });

  it('asks for a block where the old cavity is filled or stays in sight: 80 × 30, 18 deep, with 5 to trim and 1 proud', () => {
    const filled = planCutting(s, cavity, route(88, 44, 5), true);
    expect(
      [filled.blank!.across, filled.blank!.along, filled.blank!.thick, filled.blank!.cures, filled.blank!.wide].map((v) =>
        typeof v === 'number' ? Number(v.toFixed(6)) : v,
      ),
    ).toEqual([90, 40, 19, 720, true]);
    expect(planCutting(s, cavity, route(88, 44, 5)).blank).toBeNull();
    expect(planCutting(s, { ...cavity, hiddenBy: null }, route(60, 30, 5)).blank).not.toBeNull();
    expect(planCutting(s, { ...cavity, hiddenBy: null, levels: cavity.levels.map((p) => ({ ...p, depth: null })) }, route(60, 30, 5), true).blank).toBeNull();
  });

  it('tells how much of the line a bearing finds no wall on, once the template is off', () => {
    // 60 × 60 over 80 × 30: of its two sides 30 each lie in the old cavity
    expect(lineInTheOpen(roundedRectangle(60, 60, 5), [roundedRectangle(80, 30, 5)])).toBeCloseTo(60, 6);
    expect(lineInTheOpen(roundedRectangle(88, 44, 5), [roundedRectangle(80, 30, 5)])).toBe(0);
    const deep = planCutting(s, cavity, route(60, 60, 5));
    expect(deep.passes!.templateOffAfter).not.toBeNull();
    expect(deep.inTheOpen).toBeCloseTo(60, 3);
    expect(planCutting(s, cavity, route(60, 60, 5, 6)).inTheOpen).toBe(0);
  });

  it('tells how much of the bearing has wall from the template on: 5 high it lies from 0.3 to 5.3 where 12 is cut', () => {
    const p = planPasses([level('a', 18)], bit, settings).passes;
    expect(p.map((x) => (x.wall === null ? null : Number(x.wall.toFixed(6))))).toEqual([null, null, 5]);
  });

  it('leaves to the chisel what the cutter does not reach, corner by corner: r²(1 − π/4) of each square one', () => {
    const square = planCutting({ ...s, tools: [{ ...bit, id: 'x', diameter: 9.525 }] }, cavity, route(70, 40, 0));
    expect(square.bits[0]!.refusal!.kind).toBe('cornerTooTight');
    const rests = unreachableRests([roundedRectangle(70, 40, 0)], 4.7625);
    expect(rests.length).toBe(4);
    for (const r of rests) expect(r.area).toBeCloseTo(4.7625 ** 2 * (1 - Math.PI / 4), 1);
    expect(rests.every((r) => Math.abs(Math.abs(r.at.x) - 35) < 3 && Math.abs(Math.abs(r.at.y) - 20) < 3)).toBeTrue();
  });

  it('gives minutes from good days to bad ones, and the ways of three methods', () => {
    const plan = planCutting(s, cavity, route(88, 44, 5));
    const rounds = plan.passes!.passes.length + (plan.clearing?.passes.length ?? 0);
    const minutes = settings.minutesBore + rounds * (settings.minutesPass + settings.minutesSetUp);
    expect([plan.time.from, plan.time.to]).toEqual([minutes * 0.8, minutes * 1.6]);
    expect(plan.methods.map((x) => [x.id, x.possible])).toEqual([
      ['boreFirst', true],
      ['straightBit', false],
      ['templateOnly', true],
    ]);
    // 19 in threes: seven rounds
    expect(plan.methods[2]!.rounds).toBe(7);
    const none = planCutting({ ...s, tools: [] }, cavity, route(88, 44, 5));
    expect([none.methods.every((x) => !x.possible), none.bit, none.boring, none.time.to]).toEqual([true, null, null, 0]);
  });

  it('finds one depth for several parts: bases at 15 and 17, 1.5 under the lower one', () => {
    expect(depthForAll([boxPickup('a', 60, 20, 15), boxPickup('b', 60, 20, 17)], settings)).toBe(18.5);
    expect(depthForAll([], settings)).toBeNull();
  });
});

describe('figures', () => {
  it('come to areas and volume worked by hand: 88 × 44 r 5 over 80 × 30 r 5, 19 over 18 deep', () => {
    const s = plainState();
    const cavity = s.anatomy.cavities.find((c) => c.id === 'route')!;
    const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(88, 44, 5), depth: 19, bored: false }] };
    const f = routeFigures(s, cavity, route);
    const corner = (4 - Math.PI) * 25;
    const fresh = 88 * 44 - corner;
    const old = 80 * 30 - corner;
    expect(Math.abs(f.addedArea - (fresh - old))).toBeLessThan(0.5);
    expect(Math.abs(f.leftOver)).toBeLessThan(0.05);
    expect(Math.abs(f.addedVolume - ((fresh - old) * 18 + fresh * 1))).toBeLessThan(15);
    expect(f.smallestCorner).toBeCloseTo(5, 9);
  });
});

describe('wood screws', () => {
  // published in ASME B18.6.1: shank = 0.060 in + 0.013 in × number
  it('#4 is 0.112 in, #8 is 0.164 in', () => {
    expect(woodScrewShank(4)).toBeCloseTo(0.112 * IN, 9);
    expect(woodScrewShank(8)).toBeCloseTo(0.164 * IN, 9);
  });
});
