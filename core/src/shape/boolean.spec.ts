// Reference: JSTS 2.12.1, an independent geometry library; tolerance |ΔA| ≤ 1e-4 × the larger input + 0.002 mm × perimeter.
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import UnionOp from 'jsts/org/locationtech/jts/operation/union/UnionOp.js';
import { seeded } from '../testing/random.js';
import { area, differenceArea, intersectionArea, perimeter, placeOutline, roundedRectangle, unionArea, flatten, type Outline } from './index.js';

const factory = new GeometryFactory();

function polygon(o: Outline): unknown {
  const points = flatten(o, 0.0005).map((p) => new Coordinate(p.x, p.y));
  const [first] = points;
  if (first) points.push(first);
  return factory.createPolygon(factory.createLinearRing(points));
}

interface WithArea {
  getArea(): number;
}

describe('areas of booleans', () => {
  it('agree with an independent library on 60 seeded pairs of rounded rectangles', () => {
    const r = seeded(20);
    for (let i = 0; i < 60; i++) {
      const a = placeOutline(roundedRectangle(20 + 60 * r(), 15 + 30 * r(), 6 * r()), { x: 10 * r(), y: 10 * r(), turn: 360 * r() });
      const b = placeOutline(roundedRectangle(20 + 60 * r(), 15 + 30 * r(), 6 * r()), { x: 30 * r(), y: 20 * r(), turn: 360 * r() });
      const [ja, jb] = [polygon(a), polygon(b)];
      const allowed = 1e-4 * Math.max(area(a), area(b)) + 0.002 * (perimeter(a) + perimeter(b));
      const near = (ours: number, theirs: unknown, what: string): void => {
        expect(Math.abs(ours - (theirs as WithArea).getArea()))
          .withContext(`${what} ${i}`)
          .toBeLessThan(allowed);
      };
      near(unionArea([a, b]), UnionOp.union(ja, jb), 'union');
      near(differenceArea([a], [b]), OverlayOp.overlayOp(ja, jb, OverlayOp.DIFFERENCE), 'difference');
      near(intersectionArea([a], [b]), OverlayOp.overlayOp(ja, jb, OverlayOp.INTERSECTION), 'intersection');
    }
  });
});
