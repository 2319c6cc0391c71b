// A set-up that was read, against the worked example of the trade in fractions of an inch: straight edge 1/32, template 3/16, depth 7/8.
import { valueOf } from '../measure/index.js';
import { seeded } from '../testing/random.js';
import { depthSetUps, readSetUp, SET_UPS, type SetUpId } from './index.js';

const IN = 25.4;
const inches = (mm: number): number => Number((mm / IN).toFixed(6));
const plan = (template: number | null) => depthSetUps((7 / 8) * IN, IN / 32, template === null ? null : template * IN);

describe('a set-up that was read', () => {
  it('leaves what is there, or too little for it, and tells how deep the cut comes out then', () => {
    const right = readSetUp(plan(3 / 16), 'finished', (1 + 3 / 32) * IN);
    expect([right.agrees, right.slip]).toEqual([true, null]);
    expect([right.left, right.there, right.depth].map((w) => inches(valueOf(w)))).toEqual([7 / 32, 7 / 32, 7 / 8]);
    // a template of 1/4: 9/32 lie where 7/32 are left
    const thick = readSetUp(plan(1 / 4), 'finished', (1 + 3 / 32) * IN);
    expect(thick.agrees).toBeFalse();
    expect([thick.left, thick.there, thick.depth].map((w) => inches(valueOf(w)))).toEqual([7 / 32, 9 / 32, 13 / 16]);
    expect(inches(thick.off)).toBe(-1 / 16);
  });

  it('is named as the slip of another method: by (a) at the number of (c) the bit goes 0.8 too deep', () => {
    const slipped = readSetUp(plan(3 / 16), 'projection', (1 + 3 / 32) * IN);
    expect([slipped.agrees, slipped.slip]).toEqual([false, 'finished']);
    expect(slipped.off).toBeCloseTo(0.79, 2);
    expect(inches(valueOf(slipped.depth))).toBe(7 / 8 + 1 / 32);
    expect(readSetUp(plan(3 / 16), 'projection', (1 + 1 / 32) * IN).slip).toBe('overStraightEdge');
    // 5 off is nobody's number
    expect(readSetUp(plan(3 / 16), 'projection', 32).slip).toBeNull();
  });

  it('of any stack and method comes out at the depth that its own sum gives', () => {
    const next = seeded(61);
    for (let n = 0; n < 300; n++) {
      const [depth, edge, template] = [5 + 30 * next(), 0.3 + 3 * next(), next() < 0.3 ? null : 3 + 15 * next()];
      const by = SET_UPS[Math.floor(next() * 3)] as SetUpId;
      const cut = depth + 8 * (next() - 0.5);
      const t = template ?? 0;
      const reading = { projection: t + cut, overStraightEdge: t + cut - edge, finished: edge + t + cut }[by];
      const said = readSetUp(depthSetUps(depth, edge, template), by, reading);
      expect(valueOf(said.depth)).toBeCloseTo(cut, 9);
      expect(said.off).toBeCloseTo(cut - depth, 9);
      expect(said.agrees).toBe(Math.abs(cut - depth) <= 0.2);
      if (said.slip) expect(said.slip).not.toBe(by);
    }
  });
});
