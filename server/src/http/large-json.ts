import express, { type RequestHandler } from 'express';
import { inThread } from '../sums/pool.js';
import { ProblemError } from './problems.js';

/** From here on a body is taken apart in a thread of its own: meanwhile other requests are answered; bytes. */
const LARGE = 256 * 1024;

/** A JSON body that may hold a drawing or a photograph, to a limit such as '12mb'. */
export function largeJson(limit: string): readonly RequestHandler[] {
  const apart: RequestHandler = async (req, _res, next) => {
    const bytes: unknown = req.body;
    if (!Buffer.isBuffer(bytes)) {
      next();
      return;
    }
    const { body, hash } = bytes.length > LARGE ? await inThread('parse', bytes) : parsed(bytes);
    if (typeof body !== 'object' || body === null) throw new ProblemError('body-unreadable');
    req.body = body;
    if (hash !== null) HASHES.set(req.body as object, hash);
    next();
  };
  return [express.raw({ type: 'application/json', limit }), apart];
}

/** The hash of a body that was taken apart elsewhere. */
const HASHES = new WeakMap<object, string>();
export const hashKnown = (body: unknown): string | null => (typeof body === 'object' && body !== null ? (HASHES.get(body) ?? null) : null);

function parsed(bytes: Buffer): { readonly body: unknown; readonly hash: string | null } {
  try {
    return { body: JSON.parse(bytes.toString('utf8')) as unknown, hash: null };
  } catch {
    return { body: null, hash: null };
  }
}
