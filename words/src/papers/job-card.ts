import type { StepCard } from '@rinnovo/core/gate';
import { valueOf } from '@rinnovo/core/measure';
import type { CautionId } from '@rinnovo/core/operation';
import { ASKED_WORDS, expectedText } from '../asked.js';
import { labelText } from '../workings.js';
import { lengthText } from '../length.js';
import { stepText } from '../operations/index.js';
import { CAUTION_WORDS } from '../work.js';
import type { Paper, PaperBlock, PaperHead } from './paper.js';

/** An operation on the job card: one, or like ones that are done step by step together. */
export interface JobCardWork {
  readonly title: string;
  /** At each of these places; of one operation none. */
  readonly places: readonly string[];
  readonly minutes: number;
  readonly cards: readonly StepCard[];
  /** Its cut is not cleared yet. */
  readonly blocked: boolean;
}

/** The job on paper for the bench: every step in its order with its numbers, a box to tick, and a line for each reading. Prices stand elsewhere. */
export function jobCard(head: PaperHead, works: readonly JobCardWork[]): Paper {
  return {
    title: 'Job card',
    head,
    blocks: [
      ...(works.length === 0 ? [{ kind: 'text' as const, text: 'No work is left to do.' }] : []),
      ...works.flatMap((w, i): readonly PaperBlock[] => [
        {
          kind: 'together',
          blocks: [{ kind: 'heading', text: `${i + 1}  ${w.title} (${w.minutes} min)` }, ...warnings(w), steps(w, w.cards.slice(0, 1))],
        },
        ...(w.cards.length > 1 ? [steps(w, w.cards.slice(1))] : []),
      ]),
      { kind: 'heading', text: 'Notes' },
      { kind: 'blanks', labels: ['', '', ''] },
    ],
  };
}

function warnings(w: JobCardWork): readonly PaperBlock[] {
  const cautions = [...new Set(w.cards.flatMap((c): readonly CautionId[] => c.cautions))];
  return [
    ...(w.blocked ? [{ kind: 'text' as const, text: 'Not clear to cut yet. Clear it before this step.', strong: true }] : []),
    ...(cautions.length > 0 ? [{ kind: 'lines' as const, mark: 'none' as const, lines: cautions.map((c) => ({ text: `! ${CAUTION_WORDS[c]}` })) }] : []),
  ];
}

function steps({ places }: JobCardWork, cards: readonly StepCard[]): PaperBlock {
  const each = places.length > 1 ? `   □ ${places.join('   □ ')}` : '';
  return {
    kind: 'lines',
    mark: 'box',
    lines: cards.map((c) => {
      const numbers = c.numbers.map((n) => `${labelText(n.label)} ${lengthText(valueOf(n.working), 'mm', 1)}`);
      const asked = c.asks
        ? [`${ASKED_WORDS[c.asks.what].toLowerCase()} ____________${c.asks.expected === null ? '' : ` (${expectedText(c.asks, 'mm') ?? ''})`}`]
        : [];
      const detail = [...numbers, ...asked].join(';  ');
      return { text: `${stepText(c)}${each}`, ...(detail === '' ? {} : { detail }) };
    }),
  };
}
