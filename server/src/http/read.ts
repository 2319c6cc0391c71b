import type { RequestHandler } from 'express';
import type Joi from 'joi';
import type { Page } from '@rinnovo/contract';
import { valid } from './validate.js';

/** A route that reads: parameters and query checked, the answer with its version as ETag. */
export function readRoute<P, Q>(
  params: Joi.Schema<P>,
  query: Joi.Schema<Q>,
  run: (params: P, query: Q, person: string | null) => Promise<{ readonly body: unknown; readonly version?: number }>,
): RequestHandler {
  return async (req, res) => {
    const answer = await run(valid(params, req.params), valid(query, req.query), req.get('Person')?.toLowerCase() ?? null);
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

/** The parts of a page's key; null for the first page or for one that cannot be read. */
export function afterKey(after: string | undefined, parts: number): readonly string[] | null {
  if (after === undefined) return null;
  const found = Buffer.from(after, 'base64url').toString('utf8').split('\u0001');
  return found.length === parts ? found : null;
}

export function keyOf(...parts: readonly string[]): string {
  return parts.join('\u0001');
}
