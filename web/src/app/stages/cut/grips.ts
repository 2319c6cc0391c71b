import type { PlannedRoute } from '@rinnovo/core/check';
import type { SectionLine } from '@rinnovo/core/cut';
import { bounds, placePoint, type Point } from '@rinnovo/core/shape';
import type { PlanHandle } from '../../ui/hand';

/** Small handles, wherever they are: they lie beside what they pull. */
const ROOM = 60;
/** The turn comes to rest at straight within this, degrees. */
const STRAIGHT = 1;
/** How far the turning grip stands over its route, mm. */
const OVER = 5;

/** The ends of the section's line, and the grip that turns a route that can still be turned. */
export function gripsOf({ from, to }: SectionLine, route: PlannedRoute | null): readonly PlanHandle[] {
  const ends: readonly PlanHandle[] = [
    { ...from, id: 'section from', title: 'Drag: start of the section', room: ROOM },
    { ...to, id: 'section to', title: 'Drag: end of the section', room: ROOM },
  ];
  if (!route) return ends;
  const over = { x: 0, y: bounds(route.levels.map((p) => p.outline)).minY - OVER };
  return [...ends, { ...placePoint(over, route.at), id: 'turn', title: 'Drag to turn the route', room: ROOM }];
}

/** How far a route is turned when the grip over it is pulled to a point, to 0.1°. */
export function turnTo(at: Point, to: Point): number {
  const degrees = (Math.atan2(to.x - at.x, at.y - to.y) * 180) / Math.PI;
  return Math.abs(degrees) < STRAIGHT ? 0 : Math.round(degrees * 10) / 10;
}
