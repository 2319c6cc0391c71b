import type { Problem } from '@rinnovo/contract';

/** Every problem the API can answer with: code, status, title. The type is /problems/<code>. */
export const PROBLEMS = {
  'input-invalid': { status: 400, title: 'The input is not valid' },
  'body-unreadable': { status: 400, title: 'The body is not JSON' },
  'person-missing': { status: 400, title: 'No person given' },
  'write-id-missing': { status: 400, title: 'A write needs an id of its own' },
  'precondition-unreadable': { status: 400, title: 'The version asked for cannot be read' },
  'not-here': { status: 403, title: 'Not from here' },
  'not-found': { status: 404, title: 'Not found' },
  'method-not-allowed': { status: 405, title: 'Not possible here' },
  'already-there': { status: 409, title: 'Already exists' },
  'write-id-reused': { status: 409, title: 'This write id belongs to another write' },
  'numbers-differ': { status: 409, title: 'The server computes different numbers' },
  'not-clear': { status: 409, title: 'Not clear to cut' },
  'not-now': { status: 409, title: 'Not possible now' },
  'work-started': { status: 409, title: 'Work has already started' },
  stale: { status: 412, title: 'Changed by someone else' },
  'too-large': { status: 413, title: 'Too large' },
  'media-type': { status: 415, title: 'The body must be JSON' },
  'cannot-be': { status: 422, title: 'Not possible' },
  'version-missing': { status: 428, title: 'The version to change is missing' },
  unexpected: { status: 500, title: 'An error occurred' },
  'database-away': { status: 503, title: 'The database does not answer' },
  'disk-full': { status: 507, title: 'The disk is full: nothing was written' },
} as const;

export type ProblemCode = keyof typeof PROBLEMS;
type Extra = Pick<Problem, 'detail' | 'errors' | 'current' | 'yours'>;

/** Thrown anywhere below a route; the error handler answers it. */
export class ProblemError extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly extra: Extra = {},
  ) {
    super(code);
  }
}

export function problemBody(code: ProblemCode, extra: Extra, instance?: string): Problem {
  const { status, title } = PROBLEMS[code];
  return { type: `/problems/${code}`, title, status, ...extra, ...(instance ? { instance } : {}) };
}
