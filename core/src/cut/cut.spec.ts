import type { PlannedPocket } from '../check/index.js';
import { valueOf } from '../measure/index.js';
import { settingsWith } from '../operation/index.js';
import type { TemplateBit } from '../part/index.js';
import { woodScrewShank } from '../part/index.js';
import { circle, roundedRectangle } from '../shape/index.js';
import { plainState, plainTools } from '../testing/plan.js';
import { boreDepth, depthSetUps, judgeTemplateBits, leastTemplate, planClearing, planCutting, planPasses, routeFigures } from './index.js';

const IN = 25.4;
const settings = settingsWith();
const bit: TemplateBit = { id: 's', kind: 'template', name: 's', diameter: 9.525, cuttingLength: 12.7, reach: 25 };
const pocket = (id: string, depth: number, bored = false): PlannedPocket => ({ id, outline: bored ? circle(6) : roundedRectangle(60, 30, 5), depth, bored });

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
    const p = planPasses([pocket('a', 18), pocket('b', 22.5), pocket('w', 25, true)], bit, settings);
    expect(p.passes.map((x) => [x.from, x.to, x.guide])).toEqual([
      [0, 6, 'template'],
      [6, 12, 'template'],
      [12, 18, 'wall'],
      [18, 22.5, 'wall'],
    ]);
    expect(p.templateOffAfter).toBe(12);
    expect(p.passes.at(-1)?.pockets).toEqual(['b']);
    expect(p.problems).toEqual([]);
  });

  it('keep the template on while the bit reaches: a reach of 40 never takes it off before 22.5', () => {
    expect(planPasses([pocket('a', 22.5)], { ...bit, reach: 40 }, settings).templateOffAfter).toBeNull();
  });

  it('tell when the bearing would have no wall to run on', () => {
    // a thick template takes the reach at once: nothing is cut, so there is no wall at 6 mm
    const p = planPasses([pocket('a', 18)], { ...bit, reach: 16 }, settingsWith({ templateThickness: 12 }));
    expect(p.problems[0]).toEqual(jasmine.objectContaining({ kind: 'noContact', at: 6, wall: 0 }));
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
  });
});

describe('boring', () => {
  it('stops the rim a spur above the floor: 18 − 2.5', () => {
    expect(valueOf(boreDepth(18, { id: 'b', kind: 'boring', name: 'b', diameter: 25, spur: 2.5 }))).toBeCloseTo(15.5, 9);
  });

  it('is cleared between the bores down to their rims, by passes, with a straight bit that reaches', () => {
    const straight = { id: 'x', kind: 'straight' as const, name: 'x', diameter: 6, cuttingLength: 20, reach: 30 };
    const rim = boreDepth(18, { id: 'b', kind: 'boring', name: 'b', diameter: 25, spur: 2.5 });
    expect(planClearing(rim, [straight], settings)?.passes).toEqual([6, 12, 15.5]);
    expect(planClearing(rim, [{ ...straight, reach: 15 }], settings)).toBeNull();
    expect(planClearing(rim, [{ ...straight, cuttingLength: 5 }], settings)?.passes).toEqual([5, 10, 15, 15.5]);
  });

  it('keeps every hole clear of the line by radius and what is left for the template bit', () => {
    const s = plainState();
    const cavity = s.anatomy.cavities.find((c) => c.id === 'route')!;
    const route = { at: { x: 0, y: 110, turn: 0 }, pockets: [{ id: 'main', outline: roundedRectangle(88, 44, 5), depth: 19, bored: false }] };
    const { boring } = planCutting(s, cavity, route, plainTools);
    expect(boring!.holes.length).toBeGreaterThan(2);
    for (const h of boring!.holes) {
      expect(44 - Math.abs(h.x) - boring!.bit.diameter / 2).toBeGreaterThan(1.49);
      expect(22 - Math.abs(h.y - 110) - boring!.bit.diameter / 2).toBeGreaterThan(1.49);
    }
  });
});

describe('figures', () => {
  it('come to areas and volume worked by hand: 88 × 44 r 5 over 80 × 30 r 5, 19 over 18 deep', () => {
    const s = plainState();
    const cavity = s.anatomy.cavities.find((c) => c.id === 'route')!;
    const route = { at: { x: 0, y: 110, turn: 0 }, pockets: [{ id: 'main', outline: roundedRectangle(88, 44, 5), depth: 19, bored: false }] };
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
