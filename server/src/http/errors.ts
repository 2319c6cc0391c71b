import 'pino-http';
import type { ErrorRequestHandler, Request, Response } from 'express';
import { PROBLEMS, ProblemError, problemBody, type ProblemCode } from './problems.js';

/** Turns whatever was thrown into an RFC 9457 problem; only what nobody foresaw is logged as an error. */
export const answerErrors: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.writableEnded) return;
  if (res.headersSent) {
    next(error);
    return;
  }
  const problem = error instanceof ProblemError ? error : foreseen(error);
  if (!problem) req.log.error({ err: error }, 'unexpected');
  const code: ProblemCode = problem?.code ?? 'unexpected';
  sendProblem(req, res, code, problem?.extra ?? {});
};

export function sendProblem(req: Request, res: Response, code: ProblemCode, extra: ProblemError['extra'] = {}): void {
  if (code === 'database-away') res.set('Retry-After', '2');
  res
    .status(PROBLEMS[code].status)
    .type('application/problem+json')
    .send(JSON.stringify(problemBody(code, extra, `urn:request:${typeof req.id === 'string' ? req.id : ''}`)));
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  '57P01',
  '57P02',
  '57P03',
  '57P05',
  '08006',
  '08003',
  '08001',
  '53300',
  '57014',
  '55P03',
  '40P01',
  '40001',
]);

const NO_CONNECTION = ['Connection terminated', 'connection timeout', 'timeout expired'];

/** Errors of the body parser and the database that have a meaning for whoever sent the request. */
function foreseen(error: unknown): ProblemError | null {
  const e = error as { type?: string; code?: string; name?: string; message?: string; status?: number; syscall?: string };
  if (e.type === 'entity.too.large') return new ProblemError('too-large', { detail: 'The limit is 1 MB for JSON, 12 MB for a drawing or a photograph.' });
  if (
    e.type === 'entity.parse.failed' ||
    e.type === 'encoding.unsupported' ||
    e.type === 'charset.unsupported' ||
    e.type === 'request.aborted' ||
    e.type === 'request.size.invalid'
  ) {
    return new ProblemError('body-unreadable');
  }
  if (e.code === '53100' || e.code === 'ENOSPC') return new ProblemError('disk-full');
  if (e.code === '23505') return new ProblemError('already-there', { detail: 'Another entry already has this place.' });
  if (e.code === '23503') return new ProblemError('cannot-be', { detail: 'The request names something that does not exist.' });
  if (e.code === '22P05' || e.code === '22021') return new ProblemError('input-invalid', { detail: 'The text contains a character that cannot be stored.' });
  if (e.code === 'ENOENT' && e.syscall === 'connect') return new ProblemError('database-away');
  if (e.code === 'ENOENT') return new ProblemError('not-found');
  if (e.code !== undefined && AWAY.has(e.code)) return new ProblemError('database-away');
  if (e.name === 'KnexTimeoutError') return new ProblemError('database-away', { detail: 'Too much waits for the database just now. Try again.' });
  // pg gives a connection that does not come no code
  if (NO_CONNECTION.some((text) => e.message?.includes(text))) return new ProblemError('database-away');
  if (error instanceof URIError || e.status === 400) return new ProblemError('input-invalid');
  return null;
}
