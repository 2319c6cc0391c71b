import { IDENTITY_KEYS, type Instrument, type KeptSurvey } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { targetKey, type Reading } from '@rinnovo/core/quantity';
import { readingsIn, surveyedOf } from '@rinnovo/core/survey';
import { conditionSheet, FACT_BASIS_WORDS, IDENTITY_WORDS, namesOf, type ConditionSheet } from '@rinnovo/words';
import type { Knex } from 'knex';
import { anatomyOf } from '../anatomy/queries.js';
import { allParts } from '../parts/queries.js';
import { readingsOf } from '../readings/queries.js';
import { openSessions } from '../readings/sessions.js';
import { findingsOf } from './queries.js';

/** What a survey says of an instrument, in words, with the instrument as it is drawn now; what is being read again blind is left out. */
export async function loadSheet(db: Knex, one: Instrument, survey: KeptSurvey): Promise<{ readonly sheet: ConditionSheet; readonly anatomy: Anatomy }> {
  const { document } = await anatomyOf(db, one.id);
  const hidden = new Set((await openSessions(db, one.id)).map(targetKey));
  const seen = (r: Reading): boolean => !hidden.has(targetKey(r.target));
  const people = new Map(((await db('people').select('id', 'name')) as { id: string; name: string }[]).map((p) => [p.id, p.name]));
  const parts = await allParts(db);
  const sheet = conditionSheet({
    identity: IDENTITY_KEYS.flatMap((k) => {
      const fact = one.identity[k];
      return fact ? [[IDENTITY_WORDS[k], `${fact.value} (${FACT_BASIS_WORDS[fact.basis]})`] as const] : [];
    }),
    surveyed: surveyedOf(document, one, parts),
    survey,
    readings: readingsIn(survey.id, await readingsOf(db, one.id)).filter(seen),
    pinned: (await findingsOf(db, one.id)).filter((f) => f.survey === survey.id && f.rule === null),
    names: namesOf(document, parts),
    person: (p) => people.get(p) ?? 'unknown person',
  });
  return { sheet, anatomy: document };
}
