import type { Lack, Severity, SurveyKind, WorkKind } from '@rinnovo/core/survey';

export const SURVEY_KIND_WORDS: Readonly<Record<SurveyKind, string>> = {
  'as found': 'As found',
  'as left': 'As left',
  check: 'Check',
};

export const WORK_KIND_WORDS: Readonly<Record<WorkKind, string>> = {
  setUp: 'Set-up',
  nut: 'Nut',
  neckAngle: 'Neck angle',
  neckReset: 'Neck reset',
  fretEnds: 'Fret ends',
  spotLevel: 'Spot level',
  fullLevel: 'Full level',
  refret: 'Refret',
  pickupSwap: 'Pickup swap in the same route',
  reroute: 'Re-route',
  rewire: 'Rewire',
  shielding: 'Shielding',
  bridgeGlue: 'Bridge reglue',
};

/** Why a reading does not carry the work yet, with a sign of its own. */
export const LACK_WORDS: Readonly<Record<Lack, { readonly word: string; readonly sign: string }>> = {
  absent: { word: 'not read', sign: '○' },
  disagree: { word: 'two readings disagree', sign: '✕' },
  single: { word: 'read once: take a second, blind reading', sign: '◐' },
  uncertain: { word: 'too close for this tool: use a finer one', sign: '◇' },
  old: { word: 'older than 60 days', sign: '◷' },
};

export const SEVERITY_WORDS: Readonly<Record<Severity, { readonly word: string; readonly sign: string }>> = {
  stop: { word: 'stop', sign: '■' },
  'put right': { word: 'repair', sign: '✕' },
  watch: { word: 'watch', sign: '◐' },
  leave: { word: 'safe to leave', sign: '○' },
};
