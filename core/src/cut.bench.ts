// node --conditions=rinnovo-source --import tsx core/src/cut.bench.ts
// Cutting, on Node: the boring plan, a whole cutting plan, a verdict step of a drawn outline among many features, and the same distances on an independent library.
import { evaluateChoice } from './house/index.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import DistanceOp from 'jsts/org/locationtech/jts/operation/distance/DistanceOp.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import UnionOp from 'jsts/org/locationtech/jts/operation/union/UnionOp.js';
import { regionOf, type PlannedLevel } from './check/index.js';
import { planBoring, planCutting } from './cut/index.js';
import type { Anatomy, Cavity } from './instrument/index.js';
import { settingsWith } from './operation/index.js';
import { flatten, gapApart, placeOutline, roundedRectangle, type Outline } from './shape/index.js';
import { dim, edge, plainAnatomy, plainChoice, plainState, plainTools } from './testing/plan.js';

/** A wavy outline of so many points: what a tracing by hand comes to. */
function traced(points: number): Outline {
  return {
    vertices: Array.from({ length: points }, (_, i) => {
      const a = (2 * Math.PI * i) / points;
      const wave = 1 + 0.015 * Math.sin(9 * a);
      return { x: 42 * wave * Math.cos(a), y: 19 * wave * Math.sin(a), bulge: 0 };
    }),
  };
}

/** The plain instrument with more cavities in its back, to 120 features. */
function crowded(): Anatomy {
  const a = plainAnatomy();
  const more = Array.from({ length: 114 }, (_, i): Cavity => ({
    id: `extra ${i}`,
    name: `Extra ${i}`,
    kind: 'other',
    face: i % 2 === 0 ? 'top' : 'back',
    frame: 'body',
    hiddenBy: null,
    condition: 'sound',
    levels: [
      {
        id: 'p',
        set: 'found',
        outline: edge(roundedRectangle(12, 10, 2, { x: -140 + (i % 12) * 25, y: 190 + Math.floor(i / 12) * 22 })),
        depth: dim(10),
        bored: false,
      },
    ],
  }));
  return { ...a, cavities: [...a.cavities, ...more] };
}

function measured(name: string, rounds: number, f: (i: number) => void): number {
  const times: number[] = [];
  for (let i = 0; i < rounds + 20; i++) {
    const begun = process.hrtime.bigint();
    f(i);
    if (i >= 20) times.push(Number(process.hrtime.bigint() - begun) / 1e6);
  }
  times.sort((a, b) => a - b);
  const median = times[Math.floor(rounds / 2)] ?? NaN;
  console.log(
    `${name}: median ${median.toFixed(2)} ms, p95 ${(times[Math.floor(rounds * 0.95)] ?? NaN).toFixed(2)} ms, slowest ${(times.at(-1) ?? NaN).toFixed(2)} ms (${rounds})`,
  );
  return median;
}

const levels: readonly PlannedLevel[] = [{ id: 'main', outline: traced(150), depth: 18, bored: false }];
const state = plainState(crowded());
const at = (i: number) => ({ x: 3 * Math.sin(i), y: 110 + 3 * Math.cos(i), turn: 0 });
const plain = (i: number): readonly PlannedLevel[] => [{ id: 'main', outline: roundedRectangle(88 + (i % 7), 44, 5), depth: 19, bored: false }];
const route = plainAnatomy().cavities.find((c) => c.id === 'route');
if (!route) throw new RangeError('the bench has no route');

measured('boring plan of a route of 88 × 44', 60, (i) => planBoring({ at: at(i), levels: plain(i) }, [], plainTools, settingsWith()));
measured('whole cutting plan of it', 60, (i) => planCutting(plainState(), route, { at: at(i), levels: plain(i) }));
const step = measured('verdict step of a traced outline of 150 points among 120 features', 300, (i) =>
  evaluateChoice(state, plainChoice({ route: { at: at(i), levels } })),
);

const factory = new GeometryFactory();
const polygon = (o: Outline): unknown => {
  const points = flatten(o, 0.01).map((p) => new Coordinate(p.x, p.y));
  const [first] = points;
  return factory.createPolygon(factory.createLinearRing(first ? [...points, first] : points));
};
const neighbours = state.anatomy.cavities.filter((c) => c.id !== 'route');
const regions = neighbours.map((c) => regionOf(state.anatomy, c));
const theirs = neighbours.map((c) => polygon(c.levels[0]?.outline.outline ?? traced(3)));
const mine = (i: number): Outline => placeOutline(levels[0]?.outline ?? traced(150), at(i));
const own = measured('its walls to 116 cavities', 100, (i) => {
  const o = [mine(i)];
  for (const r of regions) gapApart(o, r);
});
const library = measured('the same distances on the library', 20, (i) => {
  const o = polygon(mine(i));
  for (const t of theirs) DistanceOp.distance(o, t);
});
const plate = polygon(roundedRectangle(110, 60, 4, { x: 0, y: 110 }));
const old = polygon(roundedRectangle(80, 30, 5, { x: 0, y: 110 }));
const whole = measured('walls, what the plate does not hide, the union with the old cavity and floors on the library', 20, (i) => {
  const o = polygon(mine(i));
  for (const t of theirs) {
    DistanceOp.distance(o, t);
    if (DistanceOp.distance(o, t) === 0) OverlayOp.overlayOp(o, t, OverlayOp.INTERSECTION);
  }
  OverlayOp.overlayOp(o, plate, OverlayOp.DIFFERENCE);
  UnionOp.union(o, old);
});
console.log(`walls ${(library / own).toFixed(1)} times, a whole step ${(whole / step).toFixed(1)} times as fast as on the library`);
