/** A switch: what joins what in each of its positions. It is data, so that a meter can correct it. */
export interface ContactTable {
  readonly lugs: readonly string[];
  readonly positions: readonly ContactPosition[];
  /** It falls back when it is let go. */
  readonly momentary?: true;
}

/** What is joined in a position, by the lugs' names. */
export interface ContactPosition {
  readonly joins: readonly (readonly [string, string])[];
}

/** What cannot be of a contact table. */
export type ContactProblem =
  | { readonly kind: 'joined to itself'; readonly position: number; readonly lug: string }
  | { readonly kind: 'no such lug'; readonly position: number; readonly lug: string }
  | { readonly kind: 'lug twice'; readonly lug: string }
  | { readonly kind: 'no positions' }
  | { readonly kind: 'never joined'; readonly lug: string };

/** What is wrong with a table as it stands; nothing when it can be. */
export function contactProblems({ lugs, positions }: ContactTable): readonly ContactProblem[] {
  const out: ContactProblem[] = lugs.filter((l, i) => lugs.indexOf(l) !== i).map((lug) => ({ kind: 'lug twice', lug }));
  if (positions.length === 0) out.push({ kind: 'no positions' });
  positions.forEach(({ joins }, position) => {
    for (const [a, b] of joins) {
      if (a === b) out.push({ kind: 'joined to itself', position, lug: a });
      for (const lug of [a, b]) if (!lugs.includes(lug)) out.push({ kind: 'no such lug', position, lug });
    }
  });
  const used = new Set(positions.flatMap((p) => p.joins.flat()));
  if (positions.length > 0) out.push(...lugs.filter((l) => !used.has(l)).map((lug): ContactProblem => ({ kind: 'never joined', lug })));
  return out;
}

/** What of it cannot be; a lug that is never joined can. */
export const wrongContacts = (table: ContactTable): readonly ContactProblem[] => contactProblems(table).filter((p) => p.kind !== 'never joined');

const POLES = ['a', 'b', 'c', 'd', 'e', 'f'] as const;

/** Lugs of poles that are alike: `a.C`, `a.1` … */
function poles(count: number, throws: number, joined: readonly (readonly number[])[]): ContactTable {
  const names = POLES.slice(0, count);
  return {
    lugs: names.flatMap((p) => [`${p}.C`, ...Array.from({ length: throws }, (_, i) => `${p}.${i + 1}`)]),
    positions: joined.map((to) => ({ joins: names.flatMap((p) => to.map((n): readonly [string, string] => [`${p}.C`, `${p}.${n}`])) })),
  };
}

const each = (n: number): readonly (readonly number[])[] => Array.from({ length: n }, (_, i) => [i + 1]);

/** The switches of the trade as they usually are [trade: docs/trade/wire.md, Switches]: a table is where to begin, a meter decides. */
export const SWITCH_FORMS = {
  'toggle, three positions': {
    lugs: ['C', 'A', 'B'],
    positions: [
      { joins: [['C', 'A']] },
      {
        joins: [
          ['C', 'A'],
          ['C', 'B'],
        ],
      },
      { joins: [['C', 'B']] },
    ],
  },
  'lever, three positions': poles(2, 3, each(3)),
  'lever, five positions': poles(2, 3, [[1], [1, 2], [2], [2, 3], [3]]),
  'lever, four positions': poles(2, 4, each(4)),
  'lever, five positions, four poles': poles(4, 5, each(5)),
  'mini toggle, on-on': poles(2, 2, each(2)),
  'mini toggle, on-off-on': poles(2, 2, [[1], [], [2]]),
  'mini toggle, on-on-on': {
    ...poles(2, 2, each(2)),
    positions: [
      {
        joins: [
          ['a.C', 'a.1'],
          ['b.C', 'b.1'],
        ],
      },
      {
        joins: [
          ['a.C', 'a.1'],
          ['b.C', 'b.2'],
        ],
      },
      {
        joins: [
          ['a.C', 'a.2'],
          ['b.C', 'b.2'],
        ],
      },
    ],
  },
  'push-pull': poles(2, 2, each(2)),
  'rotary, four poles, five positions': poles(4, 5, each(5)),
  'rotary, two poles, six positions': poles(2, 6, each(6)),
  'rotary, one pole, twelve positions': poles(1, 12, each(12)),
  'kill, momentary, shorting': { lugs: ['1', '2'], positions: [{ joins: [] }, { joins: [['1', '2']] }], momentary: true },
  'kill, latching, shorting': { lugs: ['1', '2'], positions: [{ joins: [] }, { joins: [['1', '2']] }] },
  'kill, momentary, in series': { lugs: ['1', '2'], positions: [{ joins: [['1', '2']] }, { joins: [] }], momentary: true },
} as const satisfies Readonly<Record<string, ContactTable>>;
export type SwitchForm = keyof typeof SWITCH_FORMS;

/** The usual form that a table is, lug by lug; null: none. */
export const formOfTable = (table: ContactTable): SwitchForm | null =>
  (Object.keys(SWITCH_FORMS) as SwitchForm[]).find((f) => JSON.stringify(SWITCH_FORMS[f]) === JSON.stringify(table)) ?? null;

/** One pair of lugs in one position as a meter told it. */
export interface ContactRead {
  readonly position: number;
  readonly a: string;
  readonly b: string;
  readonly closed: boolean;
}

/** The pairs that are still to be metered, in the order in which one puts the probes: position by position, each lug against those after it. What follows from others is not asked. */
export function pairsToMeter(lugs: readonly string[], positions: number, read: readonly ContactRead[]): readonly Omit<ContactRead, 'closed'>[] {
  return Array.from({ length: positions }, (_, position) => position).flatMap((position) => {
    const here = read.filter((r) => r.position === position);
    const chain = chainsOf(lugs, here);
    const apart = new Set(here.flatMap((r) => (r.closed ? [] : [`${chain(r.a)}|${chain(r.b)}`, `${chain(r.b)}|${chain(r.a)}`])));
    return lugs.flatMap((a, i) =>
      lugs.slice(i + 1).flatMap((b) => (chain(a) === chain(b) || apart.has(`${chain(a)}|${chain(b)}`) ? [] : [{ position, a, b }])),
    );
  });
}

/** The number of the chain of closed pairs that a lug belongs to. */
function chainsOf(lugs: readonly string[], read: readonly ContactRead[]): (lug: string) => number {
  const of = new Map(lugs.map((l, i) => [l, i]));
  for (const { a, b, closed } of read) {
    const [x, y] = [of.get(a), of.get(b)];
    if (closed && x !== undefined && y !== undefined && x !== y) for (const [l, c] of of) if (c === y) of.set(l, x);
  }
  return (lug) => of.get(lug) ?? -1;
}

/** The table that a meter found. A pair that was read both ways counts as it was read last. */
export function tableFromMeter(lugs: readonly string[], positions: number, read: readonly ContactRead[]): ContactTable {
  const last = new Map(read.map((r) => [`${r.position}|${[r.a, r.b].sort().join('|')}`, r]));
  return {
    lugs,
    positions: Array.from({ length: positions }, (_, position) => ({
      joins: [...last.values()].filter((r) => r.position === position && r.closed && r.a !== r.b).map((r): readonly [string, string] => [r.a, r.b]),
    })),
  };
}
