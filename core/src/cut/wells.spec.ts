// Where a well is bored: at its middle, however its outline came about. Expected places by hand.
import type { PlannedRoute } from '../check/index.js';
import { circle, roundedRectangle, type Outline } from '../shape/index.js';
import { plainState } from '../testing/plan.js';
import { mirroredRoute, planCutting } from './index.js';

const state = plainState();
const cavity = state.anatomy.cavities.find((c) => c.id === 'route')!;
const route = (well: Outline): PlannedRoute => ({
  at: { x: 3, y: 110, turn: 0 },
  levels: [
    { id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false },
    { id: 'well', outline: well, depth: 22, bored: true },
  ],
});
const wellOf = (r: PlannedRoute): readonly number[] => {
  const [w] = planCutting(state, cavity, r).wells;
  return [w!.at.x, w!.at.y, w!.diameter].map((n) => Math.round(n * 100) / 100);
};
/** A circle as a hand traces it, begun anywhere. */
const traced = (begun: number): Outline => ({
  vertices: Array.from({ length: 72 }, (_, i) => {
    const a = begun + (2 * Math.PI * i) / 72;
    return { x: 30 + 3 * Math.cos(a), y: 4 + 3 * Math.sin(a), bulge: 0 };
  }),
});

describe('a well in the cutting table', () => {
  it('stands at the middle of its bore: drawn, mirrored, traced from any point on', () => {
    expect(wellOf(route(circle(6, { x: 30, y: 4 })))).toEqual([33, 114, 6]);
    // mirrored in the centre line: the route at −3, the well 30 to the other side of it
    expect(wellOf(mirroredRoute(route(circle(6, { x: 30, y: 4 }))))).toEqual([-33, 114, 6]);
    for (const begun of [0, 0.7, 2, 4.5]) {
      const [x, y, diameter] = wellOf(route(traced(begun)));
      expect([x, y]).withContext(`${begun}`).toEqual([33, 114]);
      expect(Math.abs(diameter! - 6)).toBeLessThan(0.01);
    }
    const turned = { ...route(circle(6, { x: 30, y: 4 })), at: { x: 3, y: 110, turn: 90 } };
    // turned by 90°: 30 across becomes 30 along, 4 along becomes −4 across
    expect(wellOf(turned)).toEqual([-1, 140, 6]);
  });
});
