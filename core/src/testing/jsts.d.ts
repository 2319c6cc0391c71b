declare module 'jsts/org/locationtech/jts/geom/GeometryFactory.js' {
  export default class GeometryFactory {
    createLinearRing(points: unknown[]): unknown;
    createPolygon(ring: unknown): unknown;
  }
}
declare module 'jsts/org/locationtech/jts/geom/Coordinate.js' {
  export default class Coordinate {
    constructor(x: number, y: number);
  }
}
declare module 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js' {
  export default class OverlayOp {
    static readonly DIFFERENCE: number;
    static readonly INTERSECTION: number;
    static overlayOp(a: unknown, b: unknown, op: number): unknown;
  }
}
declare module 'jsts/org/locationtech/jts/operation/union/UnionOp.js' {
  export default class UnionOp {
    static union(a: unknown, b: unknown): unknown;
  }
}
declare module 'jsts/org/locationtech/jts/operation/distance/DistanceOp.js' {
  export default class DistanceOp {
    static distance(a: unknown, b: unknown): number;
  }
}
