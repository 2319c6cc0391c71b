import { workText } from '../duration.js';
import { moneyText } from '../locale.js';
import { signed, type Paper, type PaperBlock, type PaperHead } from './paper.js';

/** One way for one place, with its price in the smallest coin. */
export interface EstimateOption {
  readonly text: string;
  readonly part: number;
  readonly minutes: number;
  readonly price: number;
  /** What stands in its way, short; empty where nothing does. */
  readonly note: string;
  readonly chosen: boolean;
}

/** A place of the plan and what could be done there. */
export interface EstimatePlace {
  readonly place: string;
  readonly options: readonly EstimateOption[];
}

/** What an estimate is made of. */
export interface EstimateInput {
  readonly head: PaperHead;
  readonly places: readonly EstimatePlace[];
  readonly ratePerHour: number;
  readonly budget: number | null;
}

/**
 * An estimate with the options of every place: parts and work of each, the chosen ones added up, the range that the open ones leave; the owner ticks and signs.
 * A part of 129.00 and 90 minutes at 60.00 an hour are 219.00 [law].
 */
export function estimatePaper({ head, places, ratePerHour, budget }: EstimateInput): Paper {
  const decided = places.flatMap((p) => p.options.filter((o) => o.chosen));
  const open = places.filter((p) => !p.options.some((o) => o.chosen) && p.options.length > 0);
  const sum = decided.reduce((s, o) => s + o.price, 0);
  const ends = (of: (...prices: number[]) => number): number => open.reduce((s, p) => s + of(...p.options.map((o) => o.price)), sum);
  const [least, most] = [ends(Math.min), ends(Math.max)];
  const total = least === most ? moneyText(least) : `${moneyText(least)} to ${moneyText(most)}`;
  const table = (p: EstimatePlace): PaperBlock => ({
    kind: 'table',
    head: ['', 'Option', 'Part', 'Work', 'Price'],
    shares: [6, 50, 14, 16, 14],
    right: 3,
    rows: p.options.map((o) => [
      o.chosen ? '✓' : '□',
      o.note === '' ? o.text : `${o.text}. ${o.note}`,
      o.part === 0 ? '' : moneyText(o.part),
      o.minutes === 0 ? '' : workText(o.minutes),
      moneyText(o.price),
    ]),
  });
  return {
    title: 'Estimate',
    head,
    blocks: [
      ...(places.length === 0 ? [{ kind: 'text' as const, text: 'No work is planned yet.' }] : []),
      ...places.flatMap((p): readonly PaperBlock[] => [{ kind: 'heading', text: p.place }, table(p)]),
      { kind: 'heading', text: 'Together' },
      {
        kind: 'pairs',
        pairs: [
          ['Chosen so far', moneyText(sum)],
          ['Still to choose', open.map((p) => p.place).join(', ') || 'nothing'],
          ['Total', total],
          ['Work is charged at', `${moneyText(ratePerHour)} an hour`],
          ...(budget === null
            ? []
            : ([['Budget', `${moneyText(budget)}${most > budget ? `; the total may be ${moneyText(most - budget)} more` : ''}`]] as const)),
        ],
      },
      {
        kind: 'lines',
        mark: 'none',
        lines: [
          { text: 'An estimate, not a fixed price. Work that is found on the way is asked about before it is done.' },
          { text: 'Wood that is cut cannot be put back. It is cut after you agreed, and after everything was measured twice.' },
        ],
      },
      signed([{ kind: 'text', text: 'I agree to the ticked options at these prices.', strong: true }], 'Owner'),
    ],
  };
}
