import { targetKey, type Reading, type StateTarget } from '../quantity/index.js';
import type { Step } from './inspection.js';
import type { WorkKind } from './work-kinds.js';

/** Why an instrument is surveyed. */
export const SURVEY_KINDS = ['as found', 'as left', 'check'] as const;
export type SurveyKind = (typeof SURVEY_KINDS)[number];

/** A value that cannot be measured, and why. */
export interface Skipped {
  readonly target: StateTarget;
  readonly reason: string;
}

/** Readings under one head; from its signature on nothing in it changes, and a mistake is put right by a reading that points to the old one. */
export interface Survey {
  readonly id: string;
  readonly instrument: string;
  readonly kind: SurveyKind;
  /** The set that was on: its gauges, new or old. */
  readonly strings: string;
  readonly tuning: string;
  readonly skipped: readonly Skipped[];
  /** Kinds of work that the readings are to serve. */
  readonly work: readonly WorkKind[];
  /** Who began it, and who has the instrument now. */
  readonly person: string;
  readonly holder: string;
  readonly begun: string;
  readonly signed: { readonly by: string; readonly at: string } | null;
}

/** The readings of one survey with its corrections, oldest first as given. */
export function readingsIn(survey: string, readings: readonly Reading[]): readonly Reading[] {
  return readings.filter((r) => r.survey === survey);
}

/** The places of a step that are neither read nor said to be out of reach. */
export function leftOf(step: Step, read: ReadonlySet<string>, skipped: readonly Skipped[]): readonly StateTarget[] {
  const out = new Set(skipped.map((s) => targetKey(s.target)));
  return step.places.filter((p) => !read.has(targetKey(p)) && !out.has(targetKey(p)));
}
