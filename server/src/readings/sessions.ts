import type { BlindSession } from '@rinnovo/contract';
import { targetKey, type AnyTarget } from '@rinnovo/core/quantity';
import type { Knex } from 'knex';
import { lockInstrument } from '../db/locks.js';
import { ProblemError } from '../http/problems.js';

/** A blind session hides values for a quarter of an hour; after that it no longer counts. */
export const STILL_HIDDEN = "at > now() - interval '15 minutes'";

/** The targets that are being read again blind just now. */
export async function openSessions(db: Knex, instrument: string): Promise<readonly AnyTarget[]> {
  const rows = (await db('blind_sessions').where({ instrument, closed: false }).whereRaw(STILL_HIDDEN).select('target')) as { target: AnyTarget }[];
  return rows.map((r) => r.target);
}

/** The targets that were being read blind at some time since a moment: what was fetched then had gaps where they are. */
export async function hiddenSince(db: Knex, instrument: string, since: Date): Promise<readonly AnyTarget[]> {
  const rows = (await db('blind_sessions').where({ instrument }).whereRaw("at > ?::timestamptz - interval '15 minutes'", [since]).select('target')) as {
    target: AnyTarget;
  }[];
  return rows.map((r) => r.target);
}

/** Throws while a value of the instrument is being read again blind: what is worked out from it would tell it. */
export async function demandNothingHidden(db: Knex, instrument: string): Promise<void> {
  if ((await openSessions(db, instrument)).length > 0)
    throw new ProblemError('not-now', { detail: 'A value of this instrument is being read again blind. Finish that reading first.' });
}

/** Begins to read a target again blind; throws where somebody else is at it. */
export async function openSession(trx: Knex.Transaction, s: BlindSession, person: string, writeId: string): Promise<void> {
  const target_key = targetKey(s.target);
  // one at a time: two that begin at once wait for one another
  await lockInstrument(trx, s.instrument);
  const open = trx('blind_sessions').where({ instrument: s.instrument, target_key, closed: false });
  const other = (await open.clone().whereNot({ person }).whereRaw(STILL_HIDDEN).first('id')) as { id: string } | undefined;
  if (other)
    throw new ProblemError('already-there', {
      detail: 'Somebody else is reading this blind. End that reading first, with a reason.',
      current: { id: other.id },
    });
  await open.clone().update({ closed: true, ended_by: person });
  await trx('blind_sessions').insert({
    id: s.id,
    instrument: s.instrument,
    target: JSON.stringify(s.target),
    target_key,
    tool: s.tool,
    person,
    write_id: writeId,
  });
}

/** Ends a session without a reading: whoever opened it, or somebody else who says why. Throws where it is not there or nobody says why. */
export async function endSession(trx: Knex.Transaction, id: string, person: string, reason: string | undefined): Promise<void> {
  const session = (await trx('blind_sessions').where({ id }).forNoKeyUpdate().first('person', 'closed')) as { person: string; closed: boolean } | undefined;
  if (!session) throw new ProblemError('not-found', { detail: 'No blind reading has that id.' });
  if (session.closed) return;
  if (session.person !== person && reason === undefined)
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/reason', detail: 'somebody else opened it: type why it is ended' }] });
  await trx('blind_sessions')
    .where({ id })
    .update({ closed: true, ended_by: person, end_reason: reason ?? null });
}
