import type { VerdictClass } from '@rinnovo/core/measure';

/** The verdicts' signs as paths in a circle of radius 1: shapes, so that a moving mark costs no text layout. */
export const SIGNS: Readonly<Record<VerdictClass, string>> = {
  clashes: 'M-0.45 -0.45L0.45 0.45M0.45 -0.45L-0.45 0.45',
  tooClose: 'M0 -0.6L0.6 0L0 0.6L-0.6 0Z',
  thin: 'M0 -0.65A0.65 0.65 0 0 0 0 0.65Z',
  well: 'M-0.3 0A0.3 0.3 0 0 1 0.3 0A0.3 0.3 0 0 1 -0.3 0Z',
  notMeasured: 'M-0.3 -0.25A0.3 0.3 0 1 1 0 0.05V0.25M0 0.5V0.55',
};
