import { cavityOfRoute, isAbout, type CheckRows, type Choice, type Evaluation } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';
import { operationRow } from '../operation/index.js';

/** What nobody can compute: a person looks, tries or reads, and says so before the wood is cut. */
export type ConfirmId = 'markedOut' | 'toolsSharp' | 'scrapTest' | 'cautions';

/** What is taken on where one person took both readings. */
export const ONE_PERSON = 'confirm/onePerson';

/** What a confirmation and what an override are called among the things that a person took upon themselves. */
export const confirmKey = (id: ConfirmId): string => `confirm/${id}`;
export const overrideKey = (verdict: string): string => `override/${verdict}`;

/**
 * What is asked before a cut: of a row, a channel or a new cavity that it was marked out and two measures of it read back; tools at hand and sharp; a test on scrap where
 * it shows, or where something is pressed in; and the cautions read.
 */
export function confirmationsFor(rows: CheckRows, choice: Choice, evaluation: Evaluation, anatomy: Anatomy): readonly ConfirmId[] {
  const inSight = choice.route != null && cavityOfRoute(rows, anatomy, choice)?.hiddenBy === null;
  const pressed = evaluation.verdicts.some((v) => isAbout(v, 'pressed'));
  const rimShows = evaluation.verdicts.some((v) => isAbout(v, 'rim') && v.class !== 'well');
  const markedOut = choice.work?.some((w) => operationRow(rows, w.kind).markedOut) ?? false;
  return [
    ...(markedOut ? (['markedOut'] as const) : []),
    'toolsSharp',
    ...(inSight || pressed || rimShows || choice.fill ? (['scrapTest'] as const) : []),
    'cautions',
  ];
}
