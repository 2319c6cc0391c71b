import { HttpErrorResponse } from '@angular/common/http';
import type { Problem } from '@rinnovo/contract';

/** A write that was refused before it was sent, as the server would have. */
export class RefusedHere extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** The problem behind whatever an API call ended with. */
export function problemOf(error: unknown): Problem {
  if (error instanceof RefusedHere) return error.problem;
  if (error instanceof HttpErrorResponse) {
    const body: unknown = typeof error.error === 'string' ? parse(error.error) : error.error;
    if (typeof body === 'object' && body !== null && 'type' in body) return body as Problem;
    return { type: '/problems/unreachable', title: 'The server’s answer cannot be read', status: error.status };
  }
  return { type: '/problems/here', title: error instanceof Error ? error.message : 'An error occurred', status: 0 };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}

/** A problem as one line for a person. */
export function problemText(p: Problem): string {
  const where = p.errors?.map((e) => e.detail).join('; ');
  return [p.title, p.detail ?? where].filter(Boolean).join(': ');
}
