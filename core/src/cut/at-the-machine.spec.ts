// Sums for the machine that leave no trace in the drawing: pilots, patterns, fences, remarks, and the copy of a panel.
import { valueOf } from '../measure/index.js';
import type { Tool } from '../part/index.js';
import { bounds } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { plainAnatomy, plainState } from '../testing/plan.js';
import { fenceAt, hardnessOf, panelOf, panelsOf, patternOf, pilotFor, remarksOn } from './index.js';

const drills: readonly Tool[] = [{ id: 'd', kind: 'drills', name: 'set', system: 'metric', from: 1, to: 10 }];

describe('the pilot of a wood screw', () => {
  it('is the root in hardwood and 85 % of it in softwood, within a tenth: numbers 4, 6, 8 and 10 want 1.9, 2.3, 2.8, 3.2 and 1.6, 2.0, 2.4, 2.7', () => {
    // two thirds of the shanks 2.845, 3.505, 4.166 and 4.826 of ASME B18.6.1; the usual charts' 2.0, 2.4, 2.8, 3.2 and 1.6, 2.0, 2.4, 2.7 lie within it: from memory
    for (const [gauge, root, hard, soft] of [
      [4, 1.897, 2.0, 1.6],
      [6, 2.337, 2.4, 2.0],
      [8, 2.777, 2.8, 2.4],
      [10, 3.217, 3.2, 2.7],
    ] as const) {
      const [h, s] = [pilotFor(gauge, 'hardwood', drills), pilotFor(gauge, 'softwood', drills)];
      expect([h.root, valueOf(h.target)].map((n) => n.toFixed(3)))
        .withContext(`${gauge}`)
        .toEqual([root.toFixed(3), root.toFixed(3)]);
      expect(valueOf(s.target))
        .withContext(`${gauge}`)
        .toBeCloseTo(0.85 * root, 2);
      for (const [p, chart] of [
        [h, hard],
        [s, soft],
      ] as const) {
        expect(p.most - p.least).toBeCloseTo(0.2, 9);
        expect(Math.abs(chart - valueOf(p.target)))
          .withContext(`${gauge} ${chart}`)
          .toBeLessThan(0.105);
      }
    }
    expect(pilotFor(6, 'hardwood', drills).drill?.name).toBe('2.3 mm');
    expect(pilotFor(6, 'hardwood', []).drill).toBeNull();
    expect(pilotFor(6, 'hardwood', [{ id: 'x', kind: 'drill', name: '3 mm', diameter: 3 }]).drill).toBeNull();
    // 3.505 × 2
    expect(pilotFor(6, 'hardwood', drills).countersink).toBeCloseTo(7.01, 2);
  });

  it('goes by the name of the wood; what nobody named is taken for hard', () => {
    expect([hardnessOf('Basswood'), hardnessOf('two pieces of Spruce'), hardnessOf('maple'), hardnessOf(null)]).toEqual([
      'softwood',
      'softwood',
      'hardwood',
      'hardwood',
    ]);
  });
});

describe('a pattern that is carried over', () => {
  it('is proved by its lengths: 3, 5 and 4 round a triangle, the longest 5', () => {
    const p = patternOf([
      { x: 0, y: 0 },
      { x: 3, y: 0 },
      { x: 0, y: 4 },
    ])!;
    expect([p.places.map((x) => x.toNext), p.longest]).toEqual([[3, 5, 4], { from: 1, to: 2, length: 5 }]);
    expect([patternOf([]), patternOf([{ x: 1, y: 1 }])]).toEqual([null, null]);
  });
});

describe('a fence', () => {
  it('stands off the line by the base less half the bit: 75 − 9.5 / 2 is 70.25', () => {
    expect(valueOf(fenceAt(75, 9.5))).toBeCloseTo(70.25, 9);
  });
});

describe('remarks at the machine', () => {
  it('go by the words in the wood’s name and by the width of the bits', () => {
    expect(remarksOn('Figured maple', [9.5])).toEqual(['burns', 'tears']);
    expect(remarksOn('Indian rosewood', [])).toEqual(['dustHarms', 'burns']);
    expect(remarksOn(null, [32])).toEqual(['slowLarge']);
    expect(remarksOn('alder', [9.5, 60])).toEqual(['slowVeryLarge']);
    // a wood whose name only holds another's
    expect(remarksOn('ashen thing', [])).toEqual([]);
  });
});

describe('the copy of a panel', () => {
  const a = {
    ...plainAnatomy(),
    holes: [
      { ...hole('volume', 'pot', 9.6), at: { x: 10, y: 130 } },
      { ...hole('far', 'pot', 8), at: { x: 100, y: 400 } },
    ],
  };

  it('is the cavity with the holes that lead into it, or the plate with its own; mirrored as it is wired', () => {
    const back = panelOf({ anatomy: a }, 'back', true)!;
    expect(back.outlines.map((o) => o.layer)).toEqual(['panel', 'holes']);
    const b = bounds([back.outlines[1]!.outline]);
    expect([b.minX, b.maxX].map((x) => Number(x.toFixed(6)))).toEqual([-14.8, -5.2]);
    expect(back.pricks.map((p) => [p.x, p.y].map((v) => Number(v.toFixed(6))))).toEqual([[-10, 130]]);
    const plate = panelOf({ anatomy: a }, 'plate', false)!;
    expect([...new Set(plate.outlines.map((o) => o.layer))]).toEqual(['panel', 'openings', 'holes']);
  });

  it('is none of what has neither hole nor opening, or is plugged, or is not there', () => {
    expect([panelOf(plainState(), 'back', false), panelOf(plainState(), 'moon', false)]).toEqual([null, null]);
    const plugged = { ...a, holes: a.holes.map((h) => ({ ...h, condition: 'plugged' as const })) };
    expect(panelOf({ anatomy: plugged }, 'back', false)).toBeNull();
    expect(panelsOf({ anatomy: a })).toEqual(['plate', 'back']);
  });
});
