// Which of the cavities beside a cut are told of, against all distances between rounded rectangles: a wall wanted of 5 [trade], in sight up to 20 more [memory].
import { evaluateChoice } from '../house/index.js';
import type { Cavity } from '../instrument/index.js';
import { roundedRectangle } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { dim, edge, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';

/** A route of 86 × 40 r 5 round (0, 110). */
const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 20, bored: false }] };

interface Box {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly limit: number;
}

const WIDE = 12;
const HIGH = 10;
const cavityOf = ({ id, x, y, limit }: Box): Cavity => ({
  id,
  name: id,
  kind: 'other',
  face: 'top',
  frame: 'body',
  hiddenBy: null,
  condition: 'sound',
  levels: [{ id: 'p', set: 'found', outline: edge(roundedRectangle(WIDE, HIGH, 0, { x, y }), limit), depth: dim(10), bored: false }],
});

/** From the route's core, 5 inside its edge, to a box. */
function apart({ x, y }: Box): number {
  const dx = Math.max(0, Math.abs(x) - 38 - WIDE / 2);
  const dy = Math.max(0, Math.abs(y - 110) - 15 - HIGH / 2);
  return Math.hypot(dx, dy) - 5;
}

describe('the walls of a cut', () => {
  it('are told of what is near, else of the nearest: 200 seeded crowds', () => {
    const r = seeded(173);
    let alone = 0;
    for (let i = 0; i < 200; i++) {
      const boxes = Array.from({ length: 1 + Math.floor(12 * r()) }, (_, n): Box => {
        const far = 56 + (n % 3 === 0 ? 30 : 90) * r();
        const a = 2 * Math.PI * r();
        return { id: `c${n}`, x: 1.6 * far * Math.cos(a), y: 110 + far * Math.sin(a), limit: r() < 0.2 ? 4 * r() : 0.1 };
      });
      const a = plainAnatomy();
      const state = plainState({ ...a, cavities: [...a.cavities.filter((c) => c.id === 'route'), ...boxes.map(cavityOf)], body: { ...a.body, outline: null } });
      const told = evaluateChoice(state, plainChoice({ route })).verdicts.filter((v) => v.check === 'wall' && v.subject.item === 'planned');
      const own = told[0]!.worst! - boxes.find((b) => b.id === told[0]!.subject.against)!.limit;
      const left = boxes.map((b) => ({ id: b.id, left: apart(b) - own - b.limit, wall: apart(b) }));
      const near = left.filter((b) => b.left < 25);
      if (near.length === 0) alone++;
      const expected = near.length > 0 ? near : [left.reduce((m, b) => (b.left < m.left ? b : m))];
      expect(told.map((v) => v.subject.against!).sort())
        .withContext(`${i}`)
        .toEqual(expected.map((b) => b.id).sort());
      for (const v of told)
        expect(v.clearance)
          .withContext(`${i} ${v.id}`)
          .toBeCloseTo(left.find((b) => b.id === v.subject.against)!.wall, 6);
    }
    expect(alone).toBeGreaterThan(10);
  });
});
