// Sums for the machine that leave no trace in the drawing: pilots, patterns, fences, remarks, and the copy of a panel.
import { valueOf } from '../measure/index.js';
import type { Tool } from '../part/index.js';
import { bounds } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { plainAnatomy, plainState } from '../testing/plan.js';
import { fenceAt, hardnessOf, panelOf, panelsOf, patternOf, pilotFor, remarksOn } from './index.js';

const drills: readonly Tool[] = [{ id: 'd', kind: 'drills', name: 'set', system: 'metric', from: 1, to: 10 }];

describe('the pilot of a wood screw', () => {
  it('is 90 % of the root in hardwood and 70 % in softwood: numbers 4, 6 and 8 want 1.7, 2.1, 2.5 and 1.3, 1.6, 2.0', () => {
    // roots 1.9, 2.3, 2.8: two thirds of the shanks of ASME B18.6.1, values from memory
    for (const [gauge, root, hard, soft] of [
      [4, 1.9, 1.7, 1.3],
      [6, 2.3, 2.1, 1.6],
      [8, 2.8, 2.5, 2.0],
    ] as const) {
      const [h, s] = [pilotFor(gauge, 'hardwood', drills), pilotFor(gauge, 'softwood', drills)];
      for (const [is, was] of [
        [h.root, root],
        [valueOf(h.target), hard],
        [valueOf(s.target), soft],
      ] as const)
        expect(Math.abs(is - was))
          .withContext(`${gauge}`)
          .toBeLessThan(0.06);
    }
    expect(pilotFor(6, 'hardwood', drills).drill?.name).toBe('2.1 mm');
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
