import type { Anatomy } from '@rinnovo/core/instrument';
import type { Job } from '@rinnovo/core/job';
import { dateText, moneyText } from '../locale.js';
import { nameOf, type Names } from '../names.js';
import type { ConditionSheet } from '../sheet.js';
import { findingLines } from './condition.js';
import { bothFaces, signed, type Paper, type PaperHead } from './paper.js';
import { numbersOn } from './place-on-paper.js';

/** What an intake sheet is made of. */
export interface IntakeInput {
  readonly head: PaperHead;
  readonly job: Job;
  readonly anatomy: Anatomy;
  readonly names: Names;
  /** What was found on it as it came in. */
  readonly found: ConditionSheet['findings'];
}

/** The sheet that stays with an instrument from the day it comes in: what is asked for, what was found and is acknowledged, what came with it, and on which terms it stays. */
export function intakeSheet({ head, job, anatomy, names, found }: IntakeInput): Paper {
  const { budget, due } = job.limits;
  const wishes: readonly (readonly [string, string])[] = [
    ['Work to do', job.title],
    ['How it should play and sound', job.ownerSays],
    ['How it should look', job.look],
    ['Do not touch', job.request.doNotTouch.map((f) => nameOf(names, f)).join(', ')],
    ['Reversible work only', job.request.reversibleOnly ? 'yes' : ''],
    ['Budget', budget === null ? '' : moneyText(budget)],
    ['Value of the instrument', job.worth === null ? '' : moneyText(job.worth)],
    ['Due date', due === null ? '' : dateText(due)],
  ];
  return {
    title: 'Intake sheet',
    head,
    blocks: [
      { kind: 'heading', text: 'What is asked for' },
      { kind: 'pairs', pairs: wishes.filter(([, value]) => value !== '') },
      { kind: 'heading', text: 'Found as it came in' },
      bothFaces(
        anatomy,
        numbersOn(
          anatomy,
          found.map((f) => f.place),
        ),
      ),
      found.length === 0 ? { kind: 'text', text: 'Nothing is noted yet. Mark what you find on the drawing, and number it here.' } : findingLines(found),
      { kind: 'blanks', labels: found.length === 0 ? ['1', '2', '3'] : ['Also'] },
      { kind: 'heading', text: 'Came with it' },
      { kind: 'lines', mark: 'box', lines: [{ text: 'Case or bag' }, { text: 'Arm, straps, tools' }, { text: 'Original parts removed earlier' }] },
      { kind: 'blanks', labels: ['Also'] },
      { kind: 'heading', text: 'Terms' },
      {
        kind: 'lines',
        mark: 'box',
        lines: [
          { text: 'Parts that come out go back to the owner' },
          { text: 'Parts that come out stay with the workshop' },
          { text: 'Found work is asked about before it is done' },
        ],
      },
      { kind: 'blanks', labels: ['Deposit', 'Storage after the work is done', 'Reach the owner by'] },
      signed(
        [{ kind: 'text', text: 'The instrument was looked at together. What is numbered above was there when it came in.', strong: true }],
        'Owner',
        'Workshop',
      ),
    ],
  };
}
