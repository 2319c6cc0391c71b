import type { HoleLine, Pilot } from '@rinnovo/core/cut';
import { valueOf } from '@rinnovo/core/measure';
import { HOLE_WORK_WORDS, WATCH_FOR_WORDS } from '../cutting.js';
import { acrossText } from '../instrument.js';
import { lackText } from '../lack.js';
import { lengthText } from '../length.js';
import { type Names } from '../names.js';
import type { Paper, PaperHead } from './paper.js';

/** What a hole sheet is made of. */
export interface HoleSheetInput {
  readonly head: PaperHead;
  readonly holes: readonly HoleLine[];
  readonly pilots: readonly Pilot[];
  /** What the body is taken for. */
  readonly wood: string;
  readonly names: Names;
}

const mm = (x: number | null): string => (x === null ? '' : lengthText(x, 'mm'));

/** Every hole of a job at the drill: where, how wide now and when it is finished, by which drills, how deep, where the stop goes; then the pilots of its screws. */
export function holeSheet({ head, holes, pilots, wood, names }: HoleSheetInput): Paper {
  return {
    title: 'Hole sheet',
    head,
    blocks: [
      holes.length === 0
        ? { kind: 'text', text: 'This plan makes no holes.' }
        : {
            kind: 'table',
            head: ['Hole', 'Work', 'Across, along', 'Current', 'Finished', 'Drills', 'Depth', 'Stop from tip'],
            shares: [16, 11, 18, 9, 9, 19, 9, 9],
            rows: holes.map((l) => [
              `${l.name}, ${l.face}`,
              HOLE_WORK_WORDS[l.work],
              `${acrossText(l.at.x, 'mm')}, ${mm(l.at.y)}`,
              mm(l.now),
              mm(l.finished),
              [l.drills.map((d) => d.name).join(', '), l.lacks.length > 0 ? `not in stock: ${l.lacks.map((x) => lackText(x, names)).join(', ')}` : '']
                .filter(Boolean)
                .join('; '),
              l.through ? 'through' : mm(l.depth),
              l.stop ? mm(valueOf(l.stop)) : '',
            ]),
          },
      ...(holes.some((l) => l.watchFor.length > 0)
        ? ([
            { kind: 'heading', text: 'Watch for' },
            {
              kind: 'lines',
              mark: 'none',
              lines: [...new Set(holes.flatMap((l) => l.watchFor))].map((x) => ({ text: WATCH_FOR_WORDS[x] })),
            },
          ] as const)
        : []),
      ...(pilots.length > 0
        ? ([
            { kind: 'heading', text: `Pilots for wood screws, in ${wood}` },
            {
              kind: 'table',
              head: ['Screw', 'Shank', 'Pilot', 'Drill in stock'],
              shares: [20, 20, 20, 40],
              rows: pilots.map((p) => [`No. ${p.gauge}`, mm(p.shank), mm(valueOf(p.target)), p.drill ? p.drill.name : 'none near that size']),
            },
          ] as const)
        : []),
    ],
  };
}
