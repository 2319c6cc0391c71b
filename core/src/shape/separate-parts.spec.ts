// Regions of separate parts. Reference: JSTS 2.12.1, an independent geometry library: unions, differences and intersections of outlines flattened to 0.002 mm,
// the depth of a clash as the greatest distance of the rest's points, 0.2 mm apart along its edges, to the other's edge.
import DistanceOp from 'jsts/org/locationtech/jts/operation/distance/DistanceOp.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import { union, type Polygonal } from '../testing/jsts-regions.js';
import { seeded } from '../testing/random.js';
import { circle, filletedPolygon, gapApart, gapInside, gapWhenInside, placeOutline, roundedRectangle, type Outline, type Point, type Region } from './index.js';

const square = (side: number, x: number, y: number): Outline => roundedRectangle(side, side, 0, { x, y });
const well = (x: number, y: number): Outline => circle(6, { x, y });

describe('every part of a region', () => {
  const base = roundedRectangle(80, 40, 4);

  it('that stands out of a plate is found, whichever part is listed first', () => {
    // a plate of ±55: the well of 6 at x = 70 stands out by 70 + 3 − 55
    const plate = [roundedRectangle(110, 60, 0)];
    expect(gapInside([base, well(70, 0)], plate).clearance).toBeCloseTo(-18, 6);
    expect(gapInside([well(70, 0), base], plate).clearance).toBeCloseTo(-18, 6);
    expect(gapInside([base, well(50, 0)], plate).clearance).toBeCloseTo(2, 6);
    expect(gapWhenInside([base, well(70, 0)], plate)).toBeNull();
    expect(gapWhenInside([base, well(50, 0)], plate)!.clearance).toBeCloseTo(2, 6);
  });

  it('leaves an island standing in a ring so thin that the boxes of its arcs say nothing', () => {
    // two half rings of 59 and 60 across, the second drawn the other way round and a hair into the first; wood Ø 59 stands in the middle and a base of Ø 59.5 covers it
    const half = (way: 1 | -1): Outline => ({
      vertices: [
        { x: -0.01 * way, y: -30, bulge: way },
        { x: -0.01 * way, y: 30, bulge: 0 },
        { x: -0.01 * way, y: 29.5, bulge: -way },
        { x: -0.01 * way, y: -29.5, bulge: 0 },
      ],
    });
    for (const ring of [
      [half(1), half(-1)],
      [half(-1), half(1)],
    ])
      expect(gapInside([circle(59.5)], ring).clearance).toBeLessThan(-29);
    expect(gapInside([circle(59.5)], [circle(60)]).clearance).toBeCloseTo(0.25, 6);
  });

  it('that lies inside a neighbour is found, and a neighbour that lies inside a part', () => {
    // a well of 6 in the middle of a pocket 56 × 76: its far side is 28 + 3 from the pocket's side
    const pocket = [roundedRectangle(56, 76, 0, { x: 0, y: -100 })];
    expect(gapApart([base, well(0, -100)], pocket).clearance).toBeCloseTo(-28, 1);
    expect(gapApart(pocket, [base, well(0, -100)]).clearance).toBeCloseTo(gapApart([base, well(0, -100)], pocket).clearance, 9);
    expect(gapApart([well(0, -100), base], pocket).clearance).toBeCloseTo(gapApart([base, well(0, -100)], pocket).clearance, 9);
    // the wall between base and pocket: from −20 to −62
    expect(gapApart([base, well(70, 0)], pocket).clearance).toBeCloseTo(42, 6);
  });

  it('round an island: what covers the island is not inside', () => {
    const ring = [
      roundedRectangle(60, 20, 0, { x: 0, y: -30 }),
      roundedRectangle(60, 20, 0, { x: 0, y: 30 }),
      roundedRectangle(20, 80, 0, { x: -30, y: 0 }),
      roundedRectangle(20, 80, 0, { x: 30, y: 0 }),
    ];
    // the island is 40 × 40: its middle is 20 from the ring
    expect(gapInside([roundedRectangle(70, 70, 0)], ring).clearance).toBeCloseTo(-20, 6);
    expect(gapWhenInside([roundedRectangle(70, 70, 0)], ring)).toBeNull();
    expect(gapInside([square(5, -30, 0)], ring).clearance).toBeCloseTo(7.5, 6);
  });
});

describe('levels that abut', () => {
  it('have no edge between them', () => {
    const three = [square(20, -20, 0), square(20, 0, 0), square(20, 20, 0)];
    // a part of 10 × 10 on the seam of the first two, 5 from the long sides; and one that stands 10 out
    expect(gapInside([square(10, -10, 0)], three).clearance).toBeCloseTo(5, 6);
    expect(gapInside([roundedRectangle(30, 10, 0)], three).clearance).toBeCloseTo(5, 6);
    expect(gapInside([roundedRectangle(80, 10, 0)], three).clearance).toBeCloseTo(-10, 6);
    expect(gapApart([roundedRectangle(10, 40, 0, { x: 0, y: 10 })], three).clearance).toBeCloseTo(-10, 6);
    // a part as wide as the middle one runs along both seams
    expect(gapInside([roundedRectangle(20, 10, 0)], three).clearance).toBeCloseTo(5, 6);
  });

  it('placed each by itself, too', () => {
    const one = roundedRectangle(20, 20, 0);
    const three = [-20, 0, 20].map((x) => placeOutline(one, { x, y: 0, turn: 0 }));
    expect(gapInside([square(10, -10, 0)], three).clearance).toBeCloseTo(5, 6);
    expect(gapInside([roundedRectangle(80, 10, 0)], three).clearance).toBeCloseTo(-10, 6);
  });
});

/** The sides of an area, each as two points. */
function sides(g: Polygonal): readonly (readonly [Point, Point])[] {
  const rings: Point[][] = [];
  for (let i = 0; i < g.getNumGeometries(); i++) {
    const p = g.getGeometryN(i);
    rings.push(p.getExteriorRing().getCoordinates());
    for (let k = 0; k < p.getNumInteriorRing(); k++) rings.push(p.getInteriorRingN(k).getCoordinates());
  }
  return rings.flatMap((ring) => ring.slice(1).map((to, i) => [ring[i]!, to] as const));
}
function toSide(p: Point, [a, b]: readonly [Point, Point]): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}
/** How far the points of an area's edge lie from another edge at most. */
function furthest(of: Polygonal, from: Polygonal): number {
  const edge = sides(from);
  let most = 0;
  for (const [a, b] of sides(of)) {
    const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 0.2));
    for (let i = 0; i < n; i++) {
      const p = { x: a.x + ((b.x - a.x) * i) / n, y: a.y + ((b.y - a.y) * i) / n };
      let least = Infinity;
      for (const s of edge) {
        // a side whose box is further than what is found already cannot be nearer
        const away = Math.max(Math.min(s[0].x, s[1].x) - p.x, p.x - Math.max(s[0].x, s[1].x), Math.min(s[0].y, s[1].y) - p.y, p.y - Math.max(s[0].y, s[1].y));
        if (away < least) least = Math.min(least, toSide(p, s));
      }
      most = Math.max(most, least);
    }
  }
  return most;
}
const edgesApart = (a: Polygonal, b: Polygonal): number => DistanceOp.distance(a.getBoundary(), b.getBoundary());

/** Two to four parts that lie apart from one another. */
function parts(r: () => number, size: number, spread: number): Region {
  const out: Outline[] = [];
  const some = (): Outline => {
    const k = Math.floor(r() * 3);
    if (k === 0) return roundedRectangle(size * (0.5 + r()), size * (0.5 + r()), 1 + r());
    if (k === 1) return circle(size * (0.15 + 0.4 * r()), { x: 0, y: 0 });
    return filletedPolygon(
      Array.from({ length: 5 }, (_, i) => ({ x: size * 0.6 * Math.cos(i * 1.2566), y: size * 0.5 * Math.sin(i * 1.2566) })),
      1,
    );
  };
  const count = 2 + Math.floor(r() * 3);
  for (let i = 0; i < 40 && out.length < count; i++) {
    const one = placeOutline(some(), { x: spread * (r() - 0.5), y: spread * (r() - 0.5), turn: 360 * r() });
    if (out.every((o) => gapApart([o], [one]).clearance > 0.5)) out.push(one);
  }
  return out;
}

describe('500 seeded regions of separate parts', () => {
  it('are judged as the library judges them, in both orders of listing', () => {
    const r = seeded(171);
    const seen = { inside: 0, out: 0, apart: 0, meet: 0 };
    for (let i = 0; i < 250; i++) {
      const [a, b] = [parts(r, 12, 60), r() < 0.5 ? parts(r, 34, 70) : [roundedRectangle(50 + 30 * r(), 50 + 30 * r(), 6)]];
      const [ga, gb] = [union(a), union(b)];
      const rest = OverlayOp.overlayOp(ga, gb, OverlayOp.DIFFERENCE) as Polygonal;
      const theirs = rest.getArea() < 1e-3 ? edgesApart(ga, gb) : -furthest(rest, gb);
      const mine = gapInside(a, b).clearance;
      // never better than the library's by more than the flattening; worse by no more than its steps
      expect(mine)
        .withContext(`${i} inside`)
        .toBeLessThan(theirs + 0.01);
      expect(mine)
        .withContext(`${i} inside`)
        .toBeGreaterThan(theirs - 0.12);
      expect(gapInside([...a].reverse(), [...b].reverse()).clearance).toBeCloseTo(mine, 6);
      seen[mine > 0 ? 'inside' : 'out']++;

      const c = parts(r, 14, 60);
      const gc = union(c);
      const common = OverlayOp.overlayOp(ga, gc, OverlayOp.INTERSECTION) as Polygonal;
      const wall = common.getArea() < 1e-3 ? edgesApart(ga, gc) : -Math.max(furthest(common, gc), furthest(common, ga));
      const apart = gapApart(a, c).clearance;
      expect(apart)
        .withContext(`${i} apart`)
        .toBeLessThan(wall + 0.01);
      expect(apart)
        .withContext(`${i} apart`)
        .toBeGreaterThan(wall - 0.12);
      expect(gapApart([...c].reverse(), [...a].reverse()).clearance).toBeCloseTo(apart, 6);
      seen[apart > 0 ? 'apart' : 'meet']++;
    }
    for (const n of Object.values(seen)) expect(n).toBeGreaterThan(15);
  });
});
