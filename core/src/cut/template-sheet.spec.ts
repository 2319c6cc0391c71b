import { bounds, roundedRectangle } from '../shape/index.js';
import { plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { correction, PAPERS, SHEET, templateOf, tilesFor, type PaperId } from './index.js';

const route = { at: { x: 3, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false }] };

describe('the drawing of a template', () => {
  it('has the route, the old cavity, the plate and its opening, the centre line, and what is pricked through', () => {
    const a = plainAnatomy();
    const screwed = { ...a, plates: a.plates.map((p) => ({ ...p, screws: [{ x: -50, y: 110, gauge: 4, length: null }] })) };
    const d = templateOf(plainState(screwed), plainChoice({ route }), false)!;
    expect([...new Set(d.outlines.map((o) => o.layer))]).toEqual(['old cavity', 'plate', 'openings', 'screws', 'route']);
    expect(d.lines.map((l) => l.name)).toEqual(['centre line', 'middle of the route']);
    expect(d.pricks.map((p) => [p.x, p.y].map((v) => Number(v.toFixed(6))))).toEqual([
      [-50, 110],
      [3, 110],
    ]);
    expect(templateOf(plainState(), plainChoice(), false)).toBeNull();
  });

  it('mirrored lies on the other side of the centre line', () => {
    const [plain, other] = [false, true].map((m) => templateOf(plainState(), plainChoice({ route }), m)!);
    const box = (d: typeof plain) => bounds(d!.outlines.filter((o) => o.layer === 'route').map((o) => o.outline));
    expect([box(other).minX, box(other).maxX]).toEqual([-box(plain).maxX, -box(plain).minX]);
  });
});

describe('the sheets of a template', () => {
  it('are as few as show all of it, each overlapping the next', () => {
    for (const paper of Object.keys(PAPERS) as PaperId[]) {
      for (const [w, h] of [
        [105, 60],
        [400, 60],
        [340, 470],
      ] as const) {
        const t = tilesFor({ minX: -10, minY: 5, maxX: w - 10, maxY: h + 5 }, paper);
        const right = Math.max(...t.tiles.map((x) => x.x + t.width));
        const low = Math.max(...t.tiles.map((x) => x.y + t.height));
        const [left, top] = [Math.min(...t.tiles.map((x) => x.x)), Math.min(...t.tiles.map((x) => x.y))];
        expect(left <= -10 + 1e-9 && top <= 5 + 1e-9 && right >= w - 10 - 1e-9 && low >= h + 5 - 1e-9)
          .withContext(`${paper} ${w}`)
          .toBeTrue();
        // one less would not do
        expect((t.columns - 1) * (t.width - SHEET.overlap) + SHEET.overlap < w || t.columns === 1).toBeTrue();
        expect(t.tiles.length).toBe(t.rows * t.columns);
      }
    }
    expect(tilesFor({ minX: 0, minY: 0, maxX: 105, maxY: 60 }, 'A4').tiles.length).toBe(1);
    expect(tilesFor({ minX: 0, minY: 0, maxX: 400, maxY: 60 }, 'A4').columns).toBe(3);
  });

  it('keep what is cut whole on one of them: a route of 90 × 40 under any plate, on any paper, 400 seeded; the drawing is covered all the same', () => {
    const r = seeded(90);
    for (let i = 0; i < 400; i++) {
      const paper = (Object.keys(PAPERS) as PaperId[])[i % 3]!;
      const [w, h] = [100 + 400 * r(), 60 + 500 * r()];
      const box = { minX: -w * r(), minY: -h * r(), maxX: 0, maxY: 0 };
      Object.assign(box, { maxX: box.minX + w, maxY: box.minY + h });
      const at = { x: box.minX + (w - 90) * r(), y: box.minY + (h - 40) * r() };
      const route = { minX: at.x, minY: at.y, maxX: at.x + 90, maxY: at.y + 40 };
      const t = tilesFor(box, paper, route);
      const holds = t.tiles.filter(
        (s) => s.x <= route.minX + 1e-6 && s.y <= route.minY + 1e-6 && s.x + t.width >= route.maxX - 1e-6 && s.y + t.height >= route.maxY - 1e-6,
      );
      expect(holds.length).withContext(`${i} ${paper}`).toBeGreaterThan(0);
      const [first, last] = [t.tiles[0]!, t.tiles.at(-1)!];
      expect(first.x <= box.minX + 1e-6 && first.y <= box.minY + 1e-6 && last.x + t.width >= box.maxX - 1e-6 && last.y + t.height >= box.maxY - 1e-6)
        .withContext(`${i} covered`)
        .toBeTrue();
      // at most one sheet more each way than the drawing alone needs
      const alone = tilesFor(box, paper);
      expect([t.rows - alone.rows, t.columns - alone.columns].every((n) => n === 0 || n === 1)).toBeTrue();
    }
  });

  it('stay as they are where the cut is larger than a sheet', () => {
    const box = { minX: 0, minY: 0, maxX: 400, maxY: 60 };
    expect(tilesFor(box, 'A4', { ...box, maxX: 300 })).toEqual(tilesFor(box, 'A4'));
  });

  it('are corrected by a rule that was read, and refused where it is off by more than 0.3', () => {
    expect(correction(99.8)).toBeCloseTo(1.002004, 6);
    expect([correction(100), correction(100.3) === null, correction(99.69), correction(0), correction(200)]).toEqual([1, false, null, null, null]);
  });
});
