import type { DerivedRoute } from '@rinnovo/core/cut';

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
