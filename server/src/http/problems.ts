import type { Problem } from '@rinnovo/contract';

/** Every problem the API can answer with: code, status, title. The type is /problems/<code>. */
export const PROBLEMS = {
  'input-invalid': { status: 400, title: 'Something in the input is not right' },
  'body-unreadable': { status: 400, title: 'The body is not JSON' },
  'person-missing': { status: 400, title: 'Who is doing this?' },
  'write-id-missing': { status: 400, title: 'A write needs its own id' },
  'precondition-unreadable': { status: 400, title: 'The version asked for cannot be read' },
  'not-found': { status: 404, title: 'There is nothing here' },
  'method-not-allowed': { status: 405, title: 'That cannot be done here' },
  'already-there': { status: 409, title: 'Something is already there' },
  'write-id-reused': { status: 409, title: 'This write id was used for something else' },
  'numbers-differ': { status: 409, title: 'The server works out other numbers' },
  'not-clear': { status: 409, title: 'Not clear to cut' },
  'not-now': { status: 409, title: 'That cannot be done now' },
  'work-started': { status: 409, title: 'Work on it has begun' },
  stale: { status: 412, title: 'Somebody changed it in the meantime' },
  'too-large': { status: 413, title: 'That is too large' },
  'media-type': { status: 415, title: 'JSON is wanted' },
  'cannot-be': { status: 422, title: 'That cannot be' },
  'version-missing': { status: 428, title: 'Say which version is being changed' },
  unexpected: { status: 500, title: 'Something went wrong here' },
  'database-away': { status: 503, title: 'The database does not answer just now' },
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
