import type { RequestHandler } from 'express';
import type Joi from 'joi';
import { idParam, type Page } from '@rinnovo/contract';
import { ProblemError } from './problems.js';
import { isStorable, valid } from './validate.js';

/** A route that reads: parameters and query checked, the answer with its version as ETag. */
export function readRoute<P, Q>(
  params: Joi.Schema<P>,
  query: Joi.Schema<Q>,
  run: (params: P, query: Q, person: string | null) => Promise<{ readonly body: unknown; readonly version?: number }>,
): RequestHandler {
  return async (req, res) => {
    const answer = await run(valid(params, req.params), valid(query, req.query), req.get('Person')?.toLowerCase() ?? null);
    if (res.headersSent) return;
    if (answer.version !== undefined) res.set('ETag', `"${answer.version}"`);
    res.json(answer.body);
  };
}

/** A page of rows that were asked for with one more than the limit. */
export function pageOf<R, T>(rows: readonly R[], limit: number, key: (row: R) => string, shape: (row: R) => T): Page<T> {
  const some = rows.slice(0, limit);
  const last = some[some.length - 1];
  return { items: some.map(shape), next: rows.length > limit && last !== undefined ? Buffer.from(key(last)).toString('base64url') : null };
}

/** What a part of a page's key is. */
const SHAPES = {
  text: (s: string): boolean => isStorable(s),
  time: (s: string): boolean => /^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/.test(s) && !Number.isNaN(Date.parse(s)),
  id: (s: string): boolean => idParam.validate({ id: s }).error === undefined,
} as const;

/** The parts of a page's key; null for the first page. Throws 400 for a key that is none of this server. */
export function afterKey(after: string | undefined, ...shapes: readonly (keyof typeof SHAPES)[]): readonly string[] | null {
  if (after === undefined) return null;
  const found = Buffer.from(after, 'base64url').toString('utf8').split('\u0001');
  if (found.length === shapes.length && shapes.every((shape, i) => SHAPES[shape](found[i] ?? ''))) return found;
  throw new ProblemError('input-invalid', { errors: [{ pointer: '/after', detail: 'is not a page key of this server' }] });
}

export function keyOf(...parts: readonly string[]): string {
  return parts.join('\u0001');
}
