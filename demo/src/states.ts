import type { KeptFinding, KeptProfile, KeptSurvey } from '@rinnovo/contract';
import { STATES, usualLimit, type Reading, type StateId } from '@rinnovo/core/quantity';
import { ids } from './ids.js';

type Row = readonly [quantity: StateId, feature: string, value: number];

const NO_SIGN: readonly Row[] = ['headstock break', 'loose neck joint', 'rod at its end', 'tingle from the strings'].map((sign) => ['stopSign', sign, 0]);
const along = (quantity: StateId, of: 'string' | 'fret', ...values: readonly number[]): readonly Row[] => values.map((v, i) => [quantity, `${of} ${i + 1}`, v]);

function curve(...values: readonly number[]): readonly Row[] {
  return [3, 5, 7, 9, 12].flatMap((fret, i): readonly Row[] => (values[i] === undefined ? [] : [['reliefAt', `fret ${fret}`, values[i]]]));
}

/** A buzz, a high action and the relief behind both; judged in a room that is right. */
const SET_NECK: readonly Row[] = [
  ...NO_SIGN,
  ['humidity', 'room', 49],
  ['temperature', 'room', 20.5],
  ['symptom', 'buzz from the 12th up', 1],
  ['symptom', 'sour first-position chords', 0],
  ['relief', 'neck', 0.55],
  ['action', 'string 1', 2],
  ['action', 'string 6', 2.6],
  ['nutGap', 'string 1', 0.1],
  ['nutGap', 'string 6', 0.18],
  ['edgeGap', 'bass edge', 3.1],
  ['edgeGap', 'treble edge', 3],
  ['intonation', 'string 3', 7],
];

/** Fret ends felt in a dry room: they wait, and so does the top. The humidity was first typed with a slip. */
const FLAT_TOP: readonly Row[] = [
  ['stopSign', 'lifting bridge', 0],
  ['stopSign', 'sinking top', 0],
  ['humidity', 'room', 13],
  ['temperature', 'room', 22],
  ['fretEnds', 'neck', 2],
  ['stringsOverTop', 'bridge', 10.5],
  ['saddleShown', 'bridge', 3.2],
];

/** A bass as it came: bowed, high, with a hump that the level took away. */
const BASS_FOUND: readonly Row[] = [
  ...NO_SIGN,
  ['humidity', 'room', 47],
  ['temperature', 'room', 20],
  ['symptom', 'buzz at one note', 1],
  ['relief', 'neck', 0.62],
  ...curve(0.28, 0.5, 0.62, 0.55, 0.36),
  ...along('action', 'string', 2.9, 3, 3.1, 3.3),
  ...along('nutGap', 'string', 0.2, 0.24, 0.28, 0.3),
  ...along('intonation', 'string', 4, 6, 5, 8),
  ['fretRock', 'fret 7', 0.06],
  ...along('fretHeight', 'fret', 1.12, 1.1, 1.08, 1.1, 1.12, 1.1, 1.21, 1.12, 1.1, 1.12, 1.12, 1.12),
];

const BASS_LEFT: readonly Row[] = [
  ['humidity', 'room', 48],
  ['temperature', 'room', 21],
  ['symptom', 'buzz at one note', 0],
  ['relief', 'neck', 0.33],
  ...curve(0.14, 0.26, 0.33, 0.29, 0.18),
  ...along('action', 'string', 1.9, 2, 2.2, 2.4),
  ...along('nutGap', 'string', 0.1, 0.12, 0.14, 0.16),
  ...along('intonation', 'string', 1, 0, -1, 1),
  ['fretRock', 'fret 7', 0],
  ...along('fretHeight', 'fret', 1.1, 1.08, 1.06, 1.07, 1.08, 1.07, 1.07, 1.08, 1.07, 1.09, 1.1, 1.1),
];

const survey = (n: number, more: Pick<KeptSurvey, 'instrument' | 'kind' | 'begun' | 'signed'> & Partial<KeptSurvey>): KeptSurvey => ({
  id: ids.survey(n),
  strings: '',
  tuning: 'standard',
  skipped: [],
  work: [],
  person: ids.ben,
  holder: ids.ben,
  version: more.signed ? 2 : 1,
  ...more,
});

/** One that is under way, one signed with a correction, and a pair: as found and as left. */
export const surveys: readonly KeptSurvey[] = [
  survey(1, {
    instrument: ids.left,
    kind: 'as found',
    begun: '2026-11-03T09:08:00.000Z',
    signed: null,
    strings: '10–46, old set',
    work: ['setUp', 'spotLevel'],
    skipped: [{ target: { quantity: 'rodTurns', feature: 'neck' }, reason: 'the key does not reach before the cover is off' }],
  }),
  survey(2, {
    instrument: ids.acoustic,
    kind: 'as found',
    begun: '2026-11-04T14:02:00.000Z',
    signed: { by: ids.ben, at: '2026-11-04T15:10:00.000Z' },
    strings: '12–53',
    work: ['fretEnds', 'neckReset'],
  }),
  survey(3, {
    instrument: ids.bass,
    kind: 'as found',
    begun: '2026-10-12T08:30:00.000Z',
    signed: { by: ids.ben, at: '2026-10-12T10:15:00.000Z' },
    strings: '45–105, old set',
    work: ['setUp', 'spotLevel'],
  }),
  survey(4, {
    instrument: ids.bass,
    kind: 'as left',
    begun: '2026-10-19T13:00:00.000Z',
    signed: { by: ids.ada, at: '2026-10-19T14:05:00.000Z' },
    strings: '45–105, new',
    person: ids.ada,
    holder: ids.ada,
  }),
];

/** The readings of all these surveys. */
export const states: readonly Reading[] = [
  ...taken(1, SET_NECK, 20, '2026-11-03T09:10:00.000Z'),
  ...taken(2, FLAT_TOP, 50, '2026-11-04T14:05:00.000Z'),
  ...corrected(taken(2, [['humidity', 'room', 31]], 58, '2026-11-05T09:00:00.000Z'), ids.reading(52)),
  ...taken(3, BASS_FOUND, 80, '2026-10-12T08:35:00.000Z'),
  ...taken(4, BASS_LEFT, 140, '2026-10-19T13:05:00.000Z'),
];

/** Seen by eye: no rule can know it. */
export const findings: readonly KeptFinding[] = [
  {
    id: ids.finding(1),
    instrument: ids.left,
    survey: ids.survey(1),
    rule: null,
    feature: null,
    text: 'a hairline in the lacquer beside the heel, does not move on flexing',
    severity: 'watch',
    job: null,
    done: false,
    withdrawn: false,
    person: ids.ben,
    at: '2026-11-03T09:40:00.000Z',
    version: 1,
  },
];

/** The bass as it was handed over plays as wished: others are set up by it. */
export const profiles: readonly (Omit<KeptProfile, 'at' | 'archived' | 'version'> & { readonly person: string })[] = [
  {
    id: ids.profile,
    name: 'Heron four as handed over',
    instrument: ids.bass,
    survey: ids.survey(4),
    person: ids.ada,
    values: states
      .filter((r) => r.survey === ids.survey(4))
      .map((r) => ({ target: r.target as KeptProfile['values'][number]['target'], value: r.value, limit: r.limit })),
  },
];

function taken(n: number, rows: readonly Row[], first: number, begun: string): readonly Reading[] {
  const of = surveys.find((s) => s.id === ids.survey(n));
  if (!of) throw new RangeError(`no survey ${n}`);
  return rows.map(([quantity, feature, value], i) => ({
    id: ids.reading(first + i),
    instrument: of.instrument,
    target: { quantity, feature },
    value,
    limit: usualLimit(quantity, value),
    raw: STATES[quantity].choices?.[value] ?? String(value),
    tool: STATES[quantity].by,
    person: of.person,
    at: new Date(Date.parse(begun) + i * 60_000).toISOString(),
    blind: false,
    survey: of.id,
    corrects: null,
  }));
}

function corrected(list: readonly Reading[], old: string): readonly Reading[] {
  return list.map((r) => ({ ...r, corrects: old }));
}
