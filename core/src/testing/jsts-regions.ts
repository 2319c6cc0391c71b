// Outlines as polygons of an independent geometry library (JSTS 2.12.1), flattened to 0.002 mm.
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import DistanceOp from 'jsts/org/locationtech/jts/operation/distance/DistanceOp.js';
import UnionOp from 'jsts/org/locationtech/jts/operation/union/UnionOp.js';
import { flatten, type Outline, type Point, type Region } from '../shape/index.js';

const factory = new GeometryFactory();

/** An area of the library: what the specs ask of it. */
export interface Polygonal {
  getArea(): number;
  getBoundary(): { getCoordinates(): { x: number; y: number }[] };
  getNumGeometries(): number;
  getGeometryN(i: number): {
    getExteriorRing(): { getCoordinates(): Point[] };
    getNumInteriorRing(): number;
    getInteriorRingN(i: number): { getCoordinates(): Point[] };
  };
}

export function polygon(o: Outline): unknown {
  const points = flatten(o, 0.002).map((p) => new Coordinate(p.x, p.y));
  return factory.createPolygon(factory.createLinearRing([...points, points[0]!]));
}

export const union = (r: Region): Polygonal => r.map(polygon).reduce((a, b) => UnionOp.union(a, b)) as Polygonal;

/** How far two regions are apart, mm; 0 where they meet. */
export const distance = (a: Region, b: Region): number => DistanceOp.distance(union(a), union(b)) as number;
