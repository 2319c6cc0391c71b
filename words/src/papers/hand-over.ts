import type { Anatomy, Difference } from '@rinnovo/core/instrument';
import { costOf, type UndoStep } from '@rinnovo/core/job';
import { changeTexts } from '../changes.js';
import { workText } from '../duration.js';
import { moneyText } from '../locale.js';
import { nameOf, upperFirst, type Names } from '../names.js';
import { undoText } from '../work.js';
import { signed, type Paper, type PaperBlock, type PaperHead } from './paper.js';

/** What a hand-over report is made of. */
export interface HandOverInput {
  readonly head: PaperHead;
  readonly found: Anatomy;
  readonly left: Anatomy;
  readonly changes: readonly Difference[];
  readonly undo: readonly UndoStep[];
  readonly names: Names;
  /** Place, what was chosen, and why. */
  readonly decisions: readonly { readonly place: string; readonly what: string; readonly reason: string }[];
  /** What the owner agreed to, in the smallest coin; null where nobody was asked. */
  readonly agreed: number | null;
  /** Minutes that were logged, and the shop's rate. */
  readonly minutes: number;
  readonly ratePerHour: number;
  /** What the parts that went in cost. */
  readonly parts: readonly { readonly name: string; readonly price: number }[];
}

/** How an instrument is looked after once it is back [common practice, no source]. */
const CARE: readonly string[] = [
  'New strings stretch: tune it again on the first days.',
  'Keep it at 40 to 60 % relative humidity, away from heaters and sun.',
  'Bring it back if anything buzzes, loosens or moves: a set-up settles within weeks.',
];

/** What the owner gets with the instrument: as found beside as left to one scale, what was done and why, parts out and in, what can be undone, what it cost, and how to look after it. */
export function handOverReport(i: HandOverInput): Paper {
  const fresh = new Set(i.changes.flatMap((d) => (d.kind === 'levelAdded' ? [`${d.cavity}/${d.level}`] : [])));
  const swapped = i.changes.flatMap((d) => (d.kind === 'partChanged' ? [d] : []));
  const part = (id: string | null): string => (id === null ? '' : upperFirst(nameOf(i.names, id)));
  const done = changeTexts(i.changes, i.left, i.names, 'mm');
  const { minutes, ratePerHour } = i;
  const cost = costOf({ part: 0, minutes, ratePerHour });
  const partsSum = i.parts.reduce((s, p) => s + p.price, 0);
  return {
    title: 'Hand-over report',
    head: i.head,
    blocks: [
      {
        kind: 'maps',
        maps: [
          { caption: 'As found', anatomy: i.found, face: 'top', marks: [], heavy: new Set() },
          { caption: 'As left, what is new in heavy line', anatomy: i.left, face: 'top', marks: [], heavy: fresh },
        ],
      },
      { kind: 'heading', text: 'What was done' },
      done.length === 0 ? { kind: 'text', text: 'Nothing on the instrument was changed.' } : list(done),
      ...(i.decisions.length > 0 ? ([{ kind: 'heading', text: 'Why' }, list(i.decisions.map((d) => `${d.place}: ${d.what}. “${d.reason}”`))] as const) : []),
      ...(swapped.length > 0
        ? ([
            { kind: 'heading', text: 'Parts' },
            {
              kind: 'table',
              head: ['Place', 'Out', 'Where it is now', 'In'],
              shares: [22, 28, 24, 26],
              rows: swapped.map((d) => [upperFirst(nameOf(i.names, d.place)), part(d.before), d.before === null ? '' : '□ owner  □ workshop', part(d.after)]),
            },
          ] as const)
        : []),
      ...(i.undo.length > 0
        ? ([{ kind: 'heading', text: 'What can be undone' }, list(i.undo.map((u) => `${u.possible ? '' : 'Stays: '}${undoText(u, i.names)}`))] as const)
        : []),
      { kind: 'heading', text: 'Price' },
      {
        kind: 'pairs',
        pairs: [
          ...i.parts.map((p) => [p.name, moneyText(p.price)] as const),
          ['Work', `${workText(i.minutes)}, ${moneyText(cost)}`],
          ['Parts and work', moneyText(partsSum + cost)],
          ...(i.agreed === null ? [] : ([['Agreed', moneyText(i.agreed)]] as const)),
        ],
      },
      { kind: 'heading', text: 'Looking after it' },
      list(CARE),
      signed([{ kind: 'text', text: 'The instrument was handed over with everything named above.', strong: true }], 'Owner', 'Workshop'),
    ],
  };
}

const list = (texts: readonly string[]): PaperBlock => ({ kind: 'lines', mark: 'none', lines: texts.map((text) => ({ text })) });
