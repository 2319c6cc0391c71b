import { HOUSE } from '@rinnovo/core/house';
import { SETTING_KEYS, DEFAULT_SETTINGS } from '@rinnovo/core/operation';
import type { PartRow } from '@rinnovo/core/part';
import type { Rule, Which } from '@rinnovo/core/order';
import { operationName, partKindWord, RULE_WORDS, SETTING_WORDS, SIZE_WORDS } from '../index.js';

const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...rows].map((r) => `| ${r.map((c) => c.replaceAll('|', '\\|')).join(' | ')} |`).join('\n');

const list = (of: readonly string[] | undefined): string => (of ?? []).join(', ');

function whichText(which: Which): string {
  const parts = [
    ...(which.kinds ? [which.kinds.map(operationName).join(', ')] : []),
    ...(which.phases ? [`stage ${list(which.phases)}`] : []),
    ...(which.undo ? [`undo ${list(which.undo)}`] : []),
    ...(which.stations ? [`at ${list(which.stations)}`] : []),
    ...(which.holes ? [`holes ${list(which.holes)}`] : []),
  ];
  return parts.length === 0 ? 'everything' : parts.join('; ');
}

const ruleRow = (r: Rule): readonly string[] => [
  r.id,
  r.type,
  'scope' in r ? r.scope : '',
  'from' in r ? whichText(r.from) : r.type === 'step' ? `step ${r.insert}` : '',
  whichText(r.to),
  r.strength,
  RULE_WORDS[r.id] ?? '',
];

function usualText(row: PartRow): string {
  return Object.entries(row.sizes)
    .map(
      ([size, u]) =>
        `${SIZE_WORDS[size as keyof typeof SIZE_WORDS]}${u ? ` ${Number((u.value - u.limit).toFixed(3))}–${Number((u.value + u.limit).toFixed(3))}` : ''}`,
    )
    .join('; ');
}

const goesText = ({ goes }: PartRow): string =>
  [
    ...(goes.holes ? [`holes: ${list(goes.holes)}`] : []),
    ...(goes.slots ? ['slots'] : []),
    ...(goes.plates ? [`plates: ${list(goes.plates)}`] : []),
    ...(goes.plateScrews ? ['screws of plates'] : []),
  ].join('; ');

/** The tables of the trade docs that are made from the rows, by file and name. */
export const TRADE_TABLES: readonly { readonly file: string; readonly name: string; readonly text: string }[] = [
  { file: 'order.md', name: 'rules', text: table(['rule', 'type', 'scope', 'from', 'to', 'strength', 'reason'], HOUSE.rules.map(ruleRow)) },
  {
    file: 'order.md',
    name: 'bench',
    text: table(
      ['on the bench', 'begins and ends', 'changed by'],
      HOUSE.bench.map((b) => [
        b.of,
        b.start,
        Object.entries(b.states)
          .map(([s, kind]) => `${s}: ${operationName(kind)}`)
          .join('; '),
      ]),
    ),
  },
  {
    file: 'operation.md',
    name: 'kinds',
    text: table(
      ['operation', 'stage', 'undo', 'station', 'takes from'],
      Object.values(HOUSE.operations).map((o) => [operationName(o.kind), o.phase, o.undo, o.station, o.takesFrom ?? '']),
    ),
  },
  {
    file: 'operation.md',
    name: 'cautions',
    text: table(
      ['step', 'cautions'],
      Object.entries(HOUSE.steps).flatMap(([step, cautions]) => (cautions.length > 0 ? [[step, list(cautions)]] : [])),
    ),
  },
  {
    file: 'operation.md',
    name: 'settings',
    text: table(
      ['setting', 'starts at', 'range', 'label', 'heading'],
      SETTING_KEYS.map((k) => [
        SETTING_WORDS[k],
        String(DEFAULT_SETTINGS[k].value),
        `${DEFAULT_SETTINGS[k].min}–${DEFAULT_SETTINGS[k].max}`,
        DEFAULT_SETTINGS[k].source,
        DEFAULT_SETTINGS[k].ref,
      ]),
    ),
  },
  {
    file: 'check.md',
    name: 'checks',
    text: table(
      ['check', 'of', 'unit', 'about'],
      HOUSE.checks.map((c) => [c.id, list(c.choices), c.unit, list(c.about)]),
    ),
  },
  {
    file: 'part.md',
    name: 'kinds',
    text: table(
      ['kind', 'group', 'usual sizes, mm [memory]', 'goes'],
      Object.values(HOUSE.partKinds).map((row) => [partKindWord(row.kind), row.group, usualText(row), goesText(row)]),
    ),
  },
];

/** A page with its tables as the rows make them; a table stands between its two marks. Throws RangeError for a page without the marks. */
export function withTables(file: string, page: string): string {
  return TRADE_TABLES.filter((t) => t.file === file).reduce((text, { name, text: rows }) => {
    const [begin, end] = [`<!-- table ${name}: npm run docs -->`, `<!-- end of ${name} -->`];
    const [i, j] = [text.indexOf(begin), text.indexOf(end)];
    if (i < 0 || j < i) throw new RangeError(`${file} has no marks for the table ${name}`);
    return `${text.slice(0, i + begin.length)}\n\n${rows}\n\n${text.slice(j)}`;
  }, page);
}
