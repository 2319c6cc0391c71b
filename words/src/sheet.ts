import { isState, targetKey, type Reading } from '@rinnovo/core/quantity';
import { contradictionsOf, findingsOf, stateOf, type Finding, type Severity, type Survey, type Surveyed } from '@rinnovo/core/survey';
import { lengthText } from './length.js';
import { dateTimeText, dayOf, timeText } from './locale.js';
import { nameOf, upperFirst, type Names } from './names.js';
import { targetText } from './verdicts.js';
import { CONTRADICTION_WORDS, FINDING_WORDS, mayText } from './findings.js';
import { aimText, SEVERITY_WORDS, standingWords, stateText, stateTitle, SURVEY_KIND_WORDS } from './survey/index.js';

/** What a person found and pinned. */
export interface PinnedFinding {
  readonly feature: string | null;
  readonly text: string;
  readonly severity: Severity;
}

/** Everything that a condition sheet is made of. */
export interface SheetInput {
  /** What is known of it, as label and value. */
  readonly identity: readonly (readonly [string, string])[];
  readonly surveyed: Surveyed;
  readonly survey: Survey;
  /** Of this survey alone, with their corrections. */
  readonly readings: readonly Reading[];
  readonly pinned: readonly PinnedFinding[];
  readonly names: Names;
  readonly person: (id: string) => string;
}

/** A condition sheet in words: what is printed, in its order. */
export interface ConditionSheet {
  readonly identity: readonly (readonly [string, string])[];
  readonly conditions: readonly (readonly [string, string])[];
  readonly findings: readonly {
    readonly text: string;
    readonly severity: string;
    readonly detail: string;
    /** What it is about, for its number on the drawing. */
    readonly place: string | null;
  }[];
  readonly readings: readonly { readonly what: string; readonly value: string; readonly target: string; readonly result: string; readonly by: string }[];
  readonly skipped: readonly (readonly [string, string])[];
  readonly signature: string;
}

/** The condition sheet of a survey in mm. */
export function conditionSheet(i: SheetInput): ConditionSheet {
  const state = stateOf(i.surveyed, i.readings);
  const room = (quantity: 'humidity' | 'temperature'): string => {
    const read = state.at(quantity, 'room');
    return read ? stateText(quantity, read.reading.value, 'mm') : 'not measured';
  };
  const { survey } = i;
  return {
    identity: i.identity,
    conditions: [
      ['Survey', SURVEY_KIND_WORDS[survey.kind]],
      ['Started', `${dateTimeText(survey.begun)}, ${i.person(survey.person)}`],
      ['Relative humidity', room('humidity')],
      ['Temperature', room('temperature')],
      ['Strings', survey.strings || 'not noted'],
      ['Tuning', survey.tuning || 'not noted'],
    ],
    findings: [
      ...contradictionsOf(state).map((c) => ({
        text: CONTRADICTION_WORDS[c.id],
        severity: 'contradiction',
        detail: evidenceText(c.evidence, i.names),
        place: c.evidence[0]?.target.feature ?? null,
      })),
      ...findingsOf(state)
        .filter((f) => f.cause === null)
        .map((f) => ({
          text: FINDING_WORDS[f.rule].is,
          severity: SEVERITY_WORDS[f.severity].word,
          detail: [evidenceText(f.evidence, i.names), mayText(f)].filter(Boolean).join('. '),
          place: f.evidence[0]?.target.feature ?? null,
        })),
      ...i.pinned.map((p) => ({
        text: p.text,
        severity: SEVERITY_WORDS[p.severity].word,
        detail: p.feature === null ? '' : upperFirst(nameOf(i.names, p.feature)),
        place: p.feature,
      })),
    ],
    readings: readingRows(i, state),
    skipped: survey.skipped.map((s) => [stateTitle(s.target, i.names), s.reason]),
    signature: survey.signed ? `Signed by ${i.person(survey.signed.by)}, ${dateTimeText(survey.signed.at)}` : 'Not signed: readings can still be added.',
  };
}

function evidenceText(evidence: Finding['evidence'], names: Names): string {
  return evidence.map((e) => `${stateTitle(e.target, names)}: ${stateText(e.target.quantity, e.reading.value, 'mm')}`).join('; ');
}

function readingRows(i: SheetInput, state: ReturnType<typeof stateOf>): ConditionSheet['readings'] {
  const gone = new Set(i.readings.map((r) => r.corrects));
  const known = new Map(state.readings.map((t) => [targetKey(t.target), t]));
  return i.readings.map((r) => {
    // who began the survey took it on that day, where nothing else is said
    const usual = r.person === i.survey.person && dayOf(r.at) === dayOf(i.survey.begun);
    const when = usual ? timeText(r.at) : `${i.person(r.person)}, ${dateTimeText(r.at)}`;
    const by = `${when}${r.blind ? ', second reading' : ''}`;
    const note = gone.has(r.id) ? 'corrected below' : r.corrects === null ? '' : 'correction';
    if (!isState(r.target))
      return { what: upperFirst(targetText(r.target, i.names)), value: `${lengthText(r.value, 'mm')} ± ${r.limit}`, target: '', result: note, by };
    const t = known.get(targetKey(r.target));
    const stands = t?.reading.id === r.id && t.aim ? standingWords(r.target.quantity, t.standing).word : '';
    return {
      what: stateTitle(r.target, i.names),
      value: stateText(r.target.quantity, r.value, 'mm'),
      target: t ? aimText(r.target.quantity, t.aim, 'mm') : '',
      result: [note, stands].filter(Boolean).join(', '),
      by,
    };
  });
}
