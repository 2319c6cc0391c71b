import type { DerivedRoute } from '@rinnovo/core/cut';

const PROBLEMS: Readonly<Record<Extract<DerivedRoute, { problem: string }>['problem'], string>> = {
  islands: 'An island of wood would be left standing inside it.',
  apart: 'The two do not touch: a channel joins them.',
  tooNarrow: 'The template bit does not go in: it is wider than that.',
  joined: 'It runs into that cavity already.',
  noOutline: 'There is no outline to make it from.',
};

/** Why no route comes of what it was to be made from. */
export function routeProblemText(problem: keyof typeof PROBLEMS): string {
  return PROBLEMS[problem];
}
