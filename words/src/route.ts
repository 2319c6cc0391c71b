import type { DerivedRoute, RouteFigures } from '@rinnovo/core/cut';
import type { LengthUnit } from '@rinnovo/core/measure';
import type { Box } from '@rinnovo/core/shape';
import { lengthText } from './length.js';
import { fixed, withUnit } from './locale.js';

const PROBLEMS: Readonly<Record<Extract<DerivedRoute, { problem: string }>['problem'], string>> = {
  islands: 'This leaves an island of wood inside the route.',
  apart: 'The two do not meet. Join them with a channel.',
  tooNarrow: 'The route is narrower than the template bit.',
  joined: 'The route already meets that cavity.',
  noOutline: 'Choose an outline first.',
};

/** Why no route comes of what it was to be made from. */
export function routeProblemText(problem: keyof typeof PROBLEMS): string {
  return PROBLEMS[problem];
}

/** What a route takes away and leaves: areas, volume and its smallest corner. */
export function routeFiguresText(f: RouteFigures, unit: LengthUnit): string {
  const left = `${fixed(f.leftOver, 1)} remaining${f.leftOver >= SEEN ? ` (${fixed(f.leftInSight, 1)} visible)` : ''}`;
  return `${withUnit(fixed(f.addedArea, 0), 'mm²')} new, ${left}, ${fixed(f.together, 0)} together, ${withUnit(fixed(f.addedVolume / 1000, 1), 'cm³')}; smallest corner ${lengthText(f.smallestCorner, unit)}`;
}

/** Less than this of an old route is nothing that could be seen, mm². */
const SEEN = 0.05;

/** Where a route lies on its face. */
export function routePlaceText(box: Box, unit: LengthUnit): string {
  const from = (a: number, b: number): string => `${lengthText(a, unit)} to ${lengthText(b, unit)}`;
  return `Route from ${from(box.minX, box.maxX)} across, ${from(box.minY, box.maxY)} along.`;
}
