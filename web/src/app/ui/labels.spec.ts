import { placeLabels, type Label } from './labels';

const label = (id: string, x: number, y: number, w: number, h: number): Label => ({ id, text: id, box: { minX: x, maxX: x + w, minY: y, maxY: y + h } });

describe('names on the map', () => {
  it('stand in what they name, or beside it where it is too small', () => {
    const [wide, small] = placeLabels([label('Control cavity', 0, 0, 100, 40), label('Hole', 200, 0, 3, 3)], 5);
    expect([wide!.x, wide!.y]).toEqual([50, 20]);
    expect(small!.x).toBe(201.5);
    expect(small!.y).toBeGreaterThan(3);
  });

  it('do not stand over something smaller, as if they were its own', () => {
    const [plate, route] = placeLabels([label('Route', 10, 10, 80, 30), label('Plate', 0, 0, 100, 50)], 5);
    expect([plate!.id, route!.id]).toEqual(['Plate', 'Route']);
    expect([route!.x, route!.y]).toEqual([50, 25]);
    expect(plate!.y).toBeLessThan(10);
    expect(plate!.y).toBeGreaterThan(0);
  });

  it('never lie on one another, on 240 scattered things; what has no room is skipped', () => {
    const share = (i: number, by: number): number => (i * by) % 1;
    const things = Array.from({ length: 240 }, (_, i) =>
      label(`Feature ${i}`, 300 * share(i, 0.6180339), 400 * share(i, 0.7548776), 40 * share(i, 0.5698402), 40 * share(i, 0.8191725)),
    );
    const placed = placeLabels(things, 4);
    expect(placed.length).toBeGreaterThan(20);
    expect(placed.length).toBeLessThan(240);
    const w = (t: string): number => t.length * 0.47 * 4;
    for (const [i, a] of placed.entries())
      for (const b of placed.slice(i + 1))
        expect(Math.abs(a.x - b.x) >= (w(a.text) + w(b.text)) / 2 - 1e-9 || Math.abs(a.y - b.y) >= 5 - 1e-9)
          .withContext(`${a.id} ${b.id}`)
          .toBeTrue();
  });
});
