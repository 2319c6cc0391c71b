// Where a bearing runs. Expected contact by a search over its height in steps of 0.01 mm; the law: it lies above the cutter.
import { settingsWith } from '../operation/index.js';
import type { TemplateBit } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { bearingContact, chooseWay, planPasses, type TemplateWork } from './index.js';

const bit: TemplateBit = { id: 'b', kind: 'template', name: 'b', diameter: 9.525, cuttingLength: 12.7, reach: 20 };
const levels = (depth: number) => [{ id: 'main', outline: roundedRectangle(60, 30, 5), depth, bored: false }];
const work = (depth: number): TemplateWork => ({ levels: levels(depth), corner: 5, depth, plunges: false });
const settings = settingsWith({ templateThickness: 12 });

/** How much of a bearing has something beside it, counted point by point. */
function counted(b: TemplateBit, from: number, to: number, top: number): number {
  const high = b.bearingHeight ?? 5;
  let n = 0;
  for (let i = 0; i < high * 100; i++) {
    const z = to - b.cuttingLength - high + (i + 0.5) / 100;
    if (z > top && z < from) n += 1;
  }
  return n / 100;
}

describe('a bearing', () => {
  it('lies above its cutter: 12.7 to 18 where 12 is cut leaves 5.0 of a bearing of 5, and to 12 nothing below the face', () => {
    expect(bearingContact(bit, 12, 18, 0)).toBeCloseTo(5, 9);
    expect(bearingContact(bit, 6, 12, 0)).toBe(0);
    expect(bearingContact(bit, 8, 14, 0)).toBeCloseTo(1.3, 9);
    expect(bearingContact({ ...bit, bearingHeight: 3 }, 12, 18, 0)).toBeCloseTo(3, 9);
    // on a template of 12 the first pass to 6 has 12 − 11.7 above the bearing: all of it runs on the template but what stands over it
    expect(bearingContact(bit, 0, 6, -12)).toBeCloseTo(5, 9);
    expect(bearingContact(bit, 0, 6, -10)).toBeCloseTo(3.3, 9);
  });

  it('has the contact that a count over its height finds, over 400 seeded cuts', () => {
    const r = seeded(1713);
    for (let i = 0; i < 400; i++) {
      const b = { ...bit, cuttingLength: 5 + 25 * r(), bearingHeight: Math.round(20 + 60 * r()) / 10 };
      const from = 25 * r();
      const [to, top] = [from + 8 * r(), r() < 0.5 ? 0 : -20 * r()];
      expect(Math.abs(bearingContact(b, from, to, top) - counted(b, from, to, top)))
        .withContext(`${i}`)
        .toBeLessThan(0.021);
    }
  });
});

describe('a pass off the template', () => {
  it('has no contact with template 12, cutter 12.7 and reach 20 at 18, 19 and 32: said, as nothing else is there', () => {
    for (const depth of [18, 19, 32]) {
      const long = { ...bit, reach: Math.max(20, depth) };
      expect(planPasses(levels(depth), { ...bit, reach: 20 }, settings).problems.length)
        .withContext(`${depth}`)
        .toBeGreaterThan(0);
      const way = chooseWay([{ ...long, reach: 20 }], { ...work(depth), depth: 18 }, settings)!;
      expect(way.passes.problems[0])
        .withContext(`${depth}`)
        .toEqual(jasmine.objectContaining({ kind: 'noContact', guide: 'wall' }));
    }
  });

  it('finds another way: one more pass on the template, another bit, or another thickness', () => {
    // reach 25 takes the template to 13: 18 is then cut with all of the bearing on the wall, from 12 it were so too
    expect(planPasses(levels(16), { ...bit, reach: 25 }, settings).passes.map((p) => [p.to, p.guide, p.wall])).toEqual([
      [6, 'template', null],
      [12, 'template', null],
      [13, 'template', null],
      [16, 'wall', jasmine.any(Number)],
    ]);
    const long = { ...bit, id: 'long', cuttingLength: 12.7, reach: 45 };
    expect(chooseWay([bit, long], work(19), settings)!.bit.bit.id).toBe('long');
    // a cutter of 25 wants 23 of template: the nearest sheet is 25
    const tall = { ...bit, cuttingLength: 25, reach: 60 };
    expect([chooseWay([tall], work(18), settings)!.template, chooseWay([tall], work(18), settings)!.passes.problems]).toEqual([25, []]);
    // every way that is chosen without a problem has contact in each of its passes
    const r = seeded(13);
    let chosen = 0;
    for (let i = 0; i < 300; i++) {
      const tools = Array.from({ length: 1 + Math.floor(3 * r()) }, (_, n): TemplateBit => ({
        ...bit,
        id: `${n}`,
        cuttingLength: 8 + 20 * r(),
        reach: 18 + 40 * r(),
        bearingHeight: 3 + 4 * r(),
      }));
      const way = chooseWay(tools, work(8 + 24 * r()), settings);
      if (!way || way.passes.problems.length > 0) continue;
      chosen += 1;
      for (const p of way.passes.passes) {
        const b = way.bit.bit;
        const top = p.guide === 'template' ? -way.template : 0;
        expect(counted(b, p.from, p.to, top))
          .withContext(`${i}`)
          .toBeGreaterThanOrEqual(Math.min(4, b.bearingHeight!) - 0.03);
        expect(p.to - p.from).toBeLessThanOrEqual(Math.min(6, b.cuttingLength) + 1e-9);
        if (p.guide === 'template') expect(p.to + way.template).toBeLessThanOrEqual(b.reach + 1e-9);
      }
    }
    expect(chosen).toBeGreaterThan(100);
  });
});
