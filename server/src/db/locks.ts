import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

/*
 * All writes take their locks in one order: job, plan, instrument, operation, drawer, survey, session, photograph.
 * A lock is FOR NO KEY UPDATE: nobody who only points at the row waits for it.
 */

/** Locks what a write on a job builds on (job, plan, instrument) and ends in the instrument's id: what is loaded after this stands until the write is through. Throws not-found. */
export async function lockJob(trx: Knex.Transaction, job: string): Promise<string> {
  const found = (await trx('jobs').where({ id: job }).forNoKeyUpdate().first('instrument')) as { instrument: string } | undefined;
  if (!found) throw new ProblemError('not-found', { detail: 'No job has that id.' });
  await trx('plans').where({ job }).forNoKeyUpdate().first('job');
  await lockInstrument(trx, found.instrument);
  return found.instrument;
}

/** Locks an instrument: its revisions, readings and surveys grow by one write at a time. Throws not-found. */
export async function lockInstrument(trx: Knex.Transaction, id: string): Promise<void> {
  const found = (await trx('instruments').where({ id }).forNoKeyUpdate().first('id')) as unknown;
  if (!found) throw new ProblemError('not-found', { detail: 'No instrument has that id.' });
}
