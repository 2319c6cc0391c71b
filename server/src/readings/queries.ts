import type { BlindSession, ShownReading } from '@rinnovo/contract';
import type { AnyTarget, Reading, Under } from '@rinnovo/core/quantity';
import { upgradeValue } from '@rinnovo/core/upgrade';
import type { Knex } from 'knex';

interface Row {
  id: string;
  instrument: string;
  target: unknown;
  value: number;
  limit: number;
  unit: string | null;
  under: Under | null;
  raw: string;
  tool: string;
  person: string;
  at: Date;
  blind: boolean;
  survey: string | null;
  corrects: string | null;
}

function toReading(r: Row): Reading {
  return {
    id: r.id,
    instrument: r.instrument,
    ...upgradeValue(r),
    raw: r.raw,
    tool: r.tool,
    person: r.person,
    at: r.at.toISOString(),
    blind: r.blind,
    ...(r.under ? { under: r.under } : {}),
    survey: r.survey,
    corrects: r.corrects,
  };
}

/** What a reading is stated by; keys and write ids stay in the database. */
const COLUMNS = ['id', 'instrument', 'target', 'value', 'limit', 'unit', 'under', 'raw', 'tool', 'person', 'at', 'blind', 'survey', 'corrects'];

/** Every reading of an instrument, oldest first. */
export async function readingsOf(db: Knex, instrument: string): Promise<readonly Reading[]> {
  const rows = (await db('readings').where({ instrument }).orderBy(['at', 'id']).select(COLUMNS)) as Row[];
  return rows.map(toReading);
}

/** A page of readings, oldest first. */
export async function readingsAfter(db: Knex, instrument: string, after: readonly string[] | null, limit: number): Promise<readonly Reading[]> {
  const query = db('readings')
    .where({ instrument })
    .orderBy(['at', 'id'])
    .limit(limit + 1)
    .select(COLUMNS);
  if (after) void query.whereRaw('(at, id::text) > (?::timestamptz, ?)', [after[0] ?? '', after[1] ?? '']);
  return ((await query) as Row[]).map(toReading);
}

/** A blind session hides values for a quarter of an hour; after that it no longer counts. */
export const STILL_HIDDEN = "at > now() - interval '15 minutes'";

/** The targets that are being read again blind just now. */
export async function openSessions(db: Knex, instrument: string): Promise<readonly AnyTarget[]> {
  const rows = (await db('blind_sessions').where({ instrument, closed: false }).whereRaw(STILL_HIDDEN).select('target')) as {
    target: AnyTarget;
  }[];
  return rows.map((r) => r.target);
}

/** A reading as it may be stated: without its value while its target is read again. */
export function shown(reading: Reading, hidden: ReadonlySet<string>, key: string): ShownReading {
  return hidden.has(key) ? { ...reading, value: null, raw: null } : reading;
}

export async function openSession(trx: Knex.Transaction, s: BlindSession, key: string, person: string, writeId: string): Promise<void> {
  await trx('blind_sessions').where({ instrument: s.instrument, target_key: key, closed: false }).update({ closed: true });
  await trx('blind_sessions').insert({
    id: s.id,
    instrument: s.instrument,
    target: JSON.stringify(s.target),
    target_key: key,
    tool: s.tool,
    person,
    write_id: writeId,
  });
}
