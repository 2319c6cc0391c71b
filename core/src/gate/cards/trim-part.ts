import { isHardwareChoice } from '../../check/index.js';
import { asPickup, plain, type CardRow } from '../card.js';

/** Filings stick to magnets: the coils of a pickup are covered first. */
export const trimPart: CardRow = {
  kind: 'trimPart',
  cards: (c) => {
    const trimmed = asPickup(c.choice)
      ?.work?.flatMap((w) => w.does)
      .flatMap((a) => (a.kind === 'trimPickup' ? [a.trimmed] : []))[0];
    const by = c.choice && isHardwareChoice(c.choice) ? c.choice.trim : undefined;
    const draft = plain('cutDown', { part: c.partName, ...trimmed, ...(by === undefined ? {} : { by }) });
    return [trimmed ? { ...draft, cautions: ['magnets'] } : draft];
  },
};
