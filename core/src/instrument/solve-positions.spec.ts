import { plainAnatomy } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { addFeature, boundsOf, edgeAt, featureOf, firstFeature, placeMeasured, solvePositions, type Anatomy, type Distance, type Edge } from './index.js';

const edge = (of: string, side: Edge['side'] = 'middle'): Edge => ({ of, side });
let n = 0;
const distance = (axis: Distance['axis'], from: Edge, to: Edge, value: number, limit = 0.25): Distance => {
  n += 1;
  return { id: `d${n}`, axis, from, to, value, limit, raw: String(value) };
};
const holes = (...at: readonly (readonly [string, number, number])[]): Anatomy =>
  at.reduce<Anatomy>((a, [id, x, y]) => addFeature(a, firstFeature('hole', id, id, 'top', { x, y })), plainAnatomy());
const placeOf = (a: Anatomy, id: string): { x: number; y: number } => a.holes.find((h) => h.id === id)!.at;

describe('positions from measured distances', () => {
  it('put one edge where it was measured from another: near edge of the route 62.5 from the bridge side of the pocket', () => {
    // pocket 0 … 70; the route is 30 along: its near edge at 132.5 puts its middle at 147.5
    const a = {
      ...plainAnatomy(),
      distances: [distance('along', edge('pocket mouth'), edge('pocket', 'low'), 0), distance('along', edge('pocket', 'high'), edge('route', 'low'), 62.5)],
    };
    const b = boundsOf(placeMeasured(a), featureOf(placeMeasured(a), 'route')!);
    expect([b.minY, b.maxY]).toEqual([132.5, 162.5]);
  });

  it('measure holes by their middles: 31.2 to the treble side of the centre line', () => {
    const a = { ...holes(['h', 10, 200]), distances: [distance('across', edge('centre line'), edge('h'), 31.2)] };
    expect(placeOf(placeMeasured(a), 'h')).toEqual({ x: 31.2, y: 200 });
  });

  it('share a chain that does not close: 62.5 and 40, over all 102.8 (worked by hand: a third of 0.3 each)', () => {
    const a = {
      ...holes(['a', 0, 60], ['b', 0, 100]),
      distances: [
        distance('along', edge('pocket mouth'), edge('a'), 62.5),
        distance('along', edge('a'), edge('b'), 40),
        distance('along', edge('pocket mouth'), edge('b'), 102.8),
      ],
    };
    const solved = solvePositions(a);
    const placed = placeMeasured(a);
    expect(placeOf(placed, 'a').y).toBeCloseTo(62.6, 9);
    expect(placeOf(placed, 'b').y).toBeCloseTo(102.7, 9);
    expect(solved.residuals.map((r) => Math.round(r.residual * 1e6) / 1e6)).toEqual([0.1, 0.1, -0.1]);
    expect(solved.suspects).toEqual([]);
  });

  it('weigh each by the square of its limit, and name the worst where the chain is further off than its limits', () => {
    // rule ± 0.25, calliper ± 0.05, over all ± 0.25: 3 mm of misclosure goes 25 : 1 : 25
    const a = {
      ...holes(['a', 0, 60], ['b', 0, 100]),
      distances: [
        distance('along', edge('pocket mouth'), edge('a'), 60, 0.25),
        distance('along', edge('a'), edge('b'), 40, 0.05),
        distance('along', edge('pocket mouth'), edge('b'), 103, 0.25),
      ],
    };
    const solved = solvePositions(a);
    const share = 3 / 51;
    expect(solved.residuals[0]!.residual).toBeCloseTo(25 * share, 9);
    expect(solved.residuals[1]!.residual).toBeCloseTo(share, 9);
    // one closed loop: the data cannot tell which of the three is wrong
    expect(solved.suspects.map((r) => r.distance).sort()).toEqual(a.distances.map((d) => d.id).sort());
  });

  it('name the wrong one of a net with more ways than one, whatever its limit: 40 seeded nets with one slip of 2 to 6', () => {
    const r = seeded(179);
    const weigh = (a: Anatomy): number =>
      solvePositions(a).residuals.reduce((sum, x) => sum + (x.residual / a.distances.find((d) => d.id === x.distance)!.limit) ** 2, 0);
    let alone = 0;
    for (let i = 0; i < 40; i++) {
      const ys = [60, 100, 150, 190].map((y) => y + 10 * r());
      const names = ['a', 'b', 'c', 'd'];
      const places: Readonly<Record<string, number>> = { 'pocket mouth': 0, ...Object.fromEntries(names.map((id, k) => [id, ys[k]!])) };
      // every one from every other, less some: two ways at least to each
      const all = Object.keys(places).flatMap((from, k, list) => list.slice(k + 1).map((to) => [from, to] as const));
      const kept = all.filter(() => r() < 0.85);
      const bad = Math.floor(r() * kept.length);
      const slip = (2 + 4 * r()) * (r() < 0.5 ? -1 : 1);
      const distances = kept.map(([from, to], k) => {
        const limit = [0.05, 0.25, 0.5][Math.floor(r() * 3)]!;
        const true_ = places[to]! - places[from]!;
        return distance('along', edge(from), edge(to), true_ + (k === bad ? slip : limit * (r() - 0.5)), limit);
      });
      const a = { ...holes(['a', 0, 60], ['b', 0, 100], ['c', 0, 150], ['d', 0, 190]), distances };
      const { suspects } = solvePositions(a);
      expect(suspects.map((s) => s.distance))
        .withContext(`${i}`)
        .toContain(distances[bad]!.id);
      if (suspects.length === 1) alone += 1;
      // leaving out the first suspect makes the rest agree best: no other does more
      const less = (id: string): Anatomy => ({ ...a, distances: distances.filter((d) => d.id !== id) });
      const loose = (of: Anatomy): number => solvePositions(of).undetermined.along.length;
      // one that alone ties something is checked by nothing
      const without = (id: string): number => (loose(less(id)) === loose(a) ? weigh(less(id)) : Infinity);
      const best = without(suspects[0]!.distance);
      for (const d of distances)
        expect(best)
          .withContext(`${i} ${d.id}`)
          .toBeLessThan(without(d.id) + 1e-6);
    }
    expect(alone).toBeGreaterThan(30);
  });

  it('tell what no chain ties to a datum', () => {
    const a = {
      ...holes(['a', 0, 60], ['b', 0, 100], ['c', 5, 5]),
      distances: [distance('along', edge('a'), edge('b'), 45), distance('along', edge('pocket mouth'), edge('c'), 7)],
    };
    const { undetermined } = solvePositions(a);
    expect(undetermined.along).toEqual(jasmine.arrayContaining(['a', 'b', 'route']));
    expect(undetermined.along).not.toContain('c');
    expect(undetermined.across).toContain('c');
    expect(placeOf(placeMeasured(a), 'a').y).toBe(60);
  });

  it('know the nut by its distance to the pocket, and refuse a line that does not run that way', () => {
    expect(edgeAt(plainAnatomy(), edge('nut'), 'along')).toBe(-400);
    expect(() => edgeAt(plainAnatomy(), edge('nut'), 'across')).toThrowError(/no line/);
    expect(() => edgeAt(plainAnatomy(), edge('nobody'), 'along')).toThrowError(/nobody/);
  });

  it('tell two datums measured against one another: the nut 400 from the mouth, read as 401', () => {
    const a = { ...plainAnatomy(), distances: [distance('along', edge('nut'), edge('pocket mouth'), 401)] };
    expect(solvePositions(a).suspects.map((r) => Number(r.residual.toFixed(9)))).toEqual([-1]);
  });

  it('leave a distance from the nut aside while nobody knows where the nut is', () => {
    const known = { ...holes(['h', 10, 200]), distances: [distance('along', edge('nut'), edge('h'), 610)] };
    expect(placeOf(placeMeasured(known), 'h').y).toBe(210);
    const unknown = { ...known, neck: { ...known.neck, nutToMouth: null } };
    expect(placeOf(placeMeasured(unknown), 'h').y).toBe(200);
    expect(solvePositions(unknown).residuals).toEqual([]);
    expect(solvePositions(unknown).undetermined.along).toContain('h');
  });
});
