import type { ShownReading } from '@rinnovo/contract';
import type { Reading, Under } from '@rinnovo/core/quantity';
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

/** What a further reading of a target is judged by, oldest first: the others of it, the one that it corrects, and what corrects that already. */
export async function readingsAbout(db: Knex, instrument: string, key: string, corrects: string | null): Promise<readonly Reading[]> {
  const rows = (await db('readings')
    .where({ instrument })
    .where((q) => {
      void q.where({ target_key: key });
      if (corrects !== null) void q.orWhere({ id: corrects }).orWhere({ corrects });
    })
    .orderBy(['at', 'id'])
    .select(COLUMNS)) as Row[];
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

/** A reading as it may be stated: without its value while its target is read again. */
export function shown(reading: Reading, hidden: ReadonlySet<string>, key: string): ShownReading {
  return hidden.has(key) ? { ...reading, value: null, raw: null } : reading;
}
