import { createHash } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import type Joi from 'joi';
import type { Knex } from 'knex';
import { hashKnown } from './large-json.js';
import { ProblemError } from './problems.js';
import { valid, validBody } from './validate.js';

/** Who writes, in which transaction, under which write id, and on which version. */
export interface WriteContext {
  readonly trx: Knex.Transaction;
  readonly person: string;
  readonly writeId: string;
  /** `If-None-Match: *`: it must not be there yet. */
  readonly creating: boolean;
  /** `If-Match`: the version that is being changed. */
  readonly ifMatch: number | null;
}

export interface Written {
  readonly status: number;
  readonly body: unknown;
  readonly version?: number;
}

export interface WriteRoute<P, B, S = never> {
  readonly params: Joi.Schema<P>;
  readonly body: Joi.Schema<B>;
  /** Create-only, change-only, or either; a command is created. */
  readonly precondition: 'create' | 'change' | 'either';
  /** A long sum that is worked out before anything is locked; the run looks whether it still holds. Whatever it throws the run finds out for itself. */
  readonly before?: (input: { readonly params: P; readonly body: B }) => Promise<S>;
  readonly run: (input: { readonly params: P; readonly body: B }, context: WriteContext, ready: S | null) => Promise<Written>;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/**
 * A route that writes: everything happens in one transaction together with the row of its write id,
 * so the same write id again gets the first answer and a crash leaves both or neither.
 */
export function writeRoute<P, B, S = never>(db: Knex, route: WriteRoute<P, B, S>): RequestHandler {
  return async (req, res) => {
    const writeId = header(req, 'Write-Id', 'write-id-missing');
    const person = header(req, 'Person', 'person-missing');
    const params = valid(route.params, req.params);
    const body = validBody(route.body, req.body);
    const precondition = readPrecondition(req, route.precondition);
    const hash = hashKnown(req.body) ?? hashOf(req.body);
    const path = req.originalUrl;

    const ready = (await route.before?.({ params, body }).catch(() => null)) ?? null;
    const answer = await triedAgain(db, async (trx): Promise<Written & { etag: string | null }> => {
      const fresh = await trx('writes').insert({ id: writeId, person, method: req.method, path, body_hash: hash }).onConflict('id').ignore().returning('id');
      if (fresh.length === 0) return firstAnswer(trx, { id: writeId, person, method: req.method, path, hash });
      const known = (await trx('people').where({ id: person }).first('id')) as { id: string } | undefined;
      const introducesSelf = !known && path === `/api/people/${person}`;
      if (!known && !introducesSelf) throw new ProblemError('person-missing', { detail: 'No person has that id.' });
      const written = await route.run({ params, body }, { trx, person, writeId, ...precondition }, ready);
      const etag = written.version === undefined ? null : `"${written.version}"`;
      await trx('writes')
        .where({ id: writeId })
        .update({ status: written.status, response: JSON.stringify(written.body), etag });
      return { ...written, etag };
    });
    // the database hung, and that was told
    if (res.headersSent) return;
    if (answer.etag) res.set('ETag', answer.etag);
    res.status(answer.status).json(answer.body);
  };
}

/** The hash of a body as it is written again. */
export const hashOf = (body: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(body ?? null))
    .digest('hex');

/** Deadlock, and a serialization that failed: nothing was written, and the next time it goes through. */
const PASSING = new Set(['40P01', '40001']);
const TRIES = 5;

/** One transaction; where the database broke it off because of another one, it is done again. */
async function triedAgain<T>(db: Knex, run: (trx: Knex.Transaction) => Promise<T>, tries = TRIES): Promise<T> {
  try {
    return await db.transaction(run);
  } catch (error) {
    if (tries <= 1 || !PASSING.has((error as { code?: string }).code ?? '')) throw error;
    await new Promise((done) => setTimeout(done, 20 + Math.random() * 80));
    return triedAgain(db, run, tries - 1);
  }
}

interface Resent {
  readonly id: string;
  readonly person: string;
  readonly method: string;
  readonly path: string;
  readonly hash: string;
}

/** What was answered first, to whoever wrote it. */
async function firstAnswer(trx: Knex.Transaction, { id, person, method, path, hash }: Resent): Promise<Written & { etag: string | null }> {
  interface Row {
    person: string;
    method: string;
    path: string;
    body_hash: string;
    status: number;
    response: unknown;
    etag: string | null;
  }
  const row = (await trx('writes').where({ id }).first()) as Row;
  if (row.person !== person || row.method !== method || row.path !== path || row.body_hash !== hash) throw new ProblemError('write-id-reused');
  return { status: row.status, body: row.response, etag: row.etag };
}

function header(req: Request, name: string, problem: 'write-id-missing' | 'person-missing'): string {
  const value = req.get(name) ?? '';
  if (!UUID.test(value)) throw new ProblemError(problem, { detail: `The header ${name} must hold a UUID.` });
  return value.toLowerCase();
}

function readPrecondition(req: Request, required: WriteRoute<never, never>['precondition']): Pick<WriteContext, 'creating' | 'ifMatch'> {
  const creating = req.get('If-None-Match') === '*';
  const match = req.get('If-Match');
  if (match !== undefined && !/^"\d{1,9}"$/.test(match))
    throw new ProblemError('precondition-unreadable', { detail: 'If-Match must hold one version in quotes, as in the ETag.' });
  const ifMatch = match === undefined ? null : Number(match.slice(1, -1));
  if (required === 'create' && !creating) throw new ProblemError('version-missing', { detail: 'To create, send If-None-Match: *.' });
  if (required === 'change' && ifMatch === null) throw new ProblemError('version-missing', { detail: 'To change, send If-Match with the version you read.' });
  if (required === 'either' && !creating && ifMatch === null)
    throw new ProblemError('version-missing', { detail: 'Send If-None-Match: * to create or If-Match to change.' });
  return { creating, ifMatch };
}

/** Throws 412 with both sides when the version that is being changed is not the current one. */
export function demandVersion(context: WriteContext, currentVersion: number, current: unknown, yours: unknown): void {
  if (context.creating || context.ifMatch !== currentVersion) throw new ProblemError('stale', { current, yours });
}
