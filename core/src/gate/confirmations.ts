import type { Choice, Evaluation } from '../check/index.js';
import type { Anatomy } from '../instrument/index.js';

/** What nobody can compute: a person looks, tries or reads, and says so before the wood is cut. */
export type ConfirmId = 'markedOut' | 'toolsSharp' | 'scrapTest' | 'cautions';

/** What a confirmation and what an override are called among the things that a person took upon themselves. */
export const confirmKey = (id: ConfirmId): string => `confirm/${id}`;
export const overrideKey = (verdict: string): string => `override/${verdict}`;

/**
 * What is asked before a cut: of a row, a channel or a new cavity that it was marked out and two measures of it read back; tools at hand and sharp; a test on scrap where
 * it shows, or where something is pressed in; and the cautions read.
 */
export function confirmationsFor(choice: Choice, evaluation: Evaluation, anatomy: Anatomy): readonly ConfirmId[] {
  const routed = choice.kind === 'pickup' && choice.route !== null;
  const position = choice.kind === 'pickup' ? anatomy.positions.find((p) => p.id === choice.position) : undefined;
  const inSight = routed && anatomy.cavities.find((c) => c.id === position?.cavity)?.hiddenBy === null;
  const pressed = evaluation.verdicts.some((v) => v.check === 'pressHolds');
  const rimShows = evaluation.verdicts.some((v) => v.check === 'hidesHole' && v.class !== 'well');
  return [
    ...(choice.kind === 'hardware' && choice.cut && choice.cut !== 'deepen' ? (['markedOut'] as const) : []),
    'toolsSharp',
    ...(inSight || pressed || rimShows || (choice.kind === 'pickup' && choice.fill) ? (['scrapTest'] as const) : []),
    'cautions',
  ];
}
