import type { KeptFinding, KeptProfile, KeptSurvey } from '@rinnovo/contract';
import type { Survey } from '@rinnovo/core/survey';
import { withNewNames } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';
import { ProblemError } from '../http/problems.js';

interface SurveyRow extends Omit<Survey, 'begun' | 'signed'> {
  readonly begun: Date;
  readonly signed_at: Date | null;
  readonly signed_by: string | null;
  readonly version: number;
}

function toSurvey({ id, instrument, kind, strings, tuning, skipped, work, person, holder, begun, signed_at, signed_by, version }: SurveyRow): KeptSurvey {
  const signed = signed_at && signed_by ? { by: signed_by, at: signed_at.toISOString() } : null;
  return {
    id,
    instrument,
    kind,
    strings,
    tuning,
    skipped: withNewNames(skipped) as Survey['skipped'],
    work,
    person,
    holder,
    begun: begun.toISOString(),
    signed,
    version,
  };
}

/** The surveys of an instrument, oldest first. */
export async function surveysOf(db: Knex, instrument: string): Promise<readonly KeptSurvey[]> {
  return ((await db('surveys').where({ instrument }).orderBy(['begun', 'id'])) as SurveyRow[]).map(toSurvey);
}

/** One survey; 404 where there is none. `lock`: nobody signs it meanwhile. */
export async function surveyById(db: Knex, id: string, lock = false): Promise<KeptSurvey> {
  const query = db('surveys').where({ id });
  if (lock) void query.forNoKeyUpdate();
  const row = (await query.first()) as SurveyRow | undefined;
  if (!row) throw new ProblemError('not-found', { detail: 'No survey has that id.' });
  return toSurvey(row);
}

/** Throws 409 with who signed it and when: from then on readings of it are only corrected. */
export function demandOpen(s: KeptSurvey): void {
  if (s.signed)
    throw new ProblemError('not-now', {
      detail: 'This survey is signed and cannot change. Correct a reading, or start another survey.',
      current: s,
    });
}

interface FindingRow extends Omit<KeptFinding, 'at'> {
  readonly at: Date;
}

export function toFinding(r: FindingRow): KeptFinding {
  const { id, instrument, survey, rule, feature, text, severity, job, done, withdrawn, person, at, version } = r;
  return { id, instrument, survey, rule, feature, text, severity, job, done, withdrawn, person, at: at.toISOString(), version };
}

/** What was found on an instrument and is not withdrawn, oldest first. */
export async function findingsOf(db: Knex, instrument: string): Promise<readonly KeptFinding[]> {
  return ((await db('findings').where({ instrument, withdrawn: false }).orderBy(['at', 'id'])) as FindingRow[]).map(toFinding);
}

interface ProfileRow extends Omit<KeptProfile, 'at'> {
  readonly at: Date;
}

export function toProfile({ id, name, instrument, survey, values, at, archived, version }: ProfileRow): KeptProfile {
  return { id, name, instrument, survey, values, at: at.toISOString(), archived, version };
}

/** Every profile of the workshop by name. */
export async function profiles(db: Knex): Promise<readonly KeptProfile[]> {
  return ((await db('profiles').where({ archived: false }).orderBy(['name', 'id']).limit(1000)) as ProfileRow[]).map(toProfile);
}
