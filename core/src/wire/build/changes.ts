import { SWITCH_FORMS, type ContactTable } from '../../part/index.js';
import type { Element } from '../circuit.js';
import { building, MOST_TRIES } from './build.js';
import { polesOf, stagesOf } from './terminals.js';
import type { CircuitWish } from './wish.js';

/** A change that makes possible what was not: of a pickup, of a switch, or of how one plays. */
export type Change =
  | { readonly kind: 'cover apart' | 'all leads out'; readonly pickup: string }
  | { readonly kind: 'another pole'; readonly element: string; readonly poles: number }
  /** Another push-pull does it in these rows: it is pulled there. */
  | { readonly kind: 'push-pull'; readonly rows: readonly number[] };

/** A change by itself, as it can be put to a wish. */
interface ChangeRow {
  readonly kind: Change['kind'];
  readonly of: (wish: CircuitWish) => readonly { readonly change: Change; readonly wish: CircuitWish }[];
}

const withElement = (wish: CircuitWish, e: Element): CircuitWish => ({ ...wish, elements: wish.elements.map((x) => (x.id === e.id ? e : x)) });

const coverApart: ChangeRow = {
  kind: 'cover apart',
  of: (wish) =>
    stagesOf(wish).pickups.flatMap((p) =>
      typeof p.cover === 'string' ? [] : [{ change: { kind: 'cover apart' as const, pickup: p.id }, wish: withElement(wish, { ...p, cover: 'own wire' }) }],
    ),
};

const allLeads: ChangeRow = {
  kind: 'all leads out',
  of: (wish) =>
    stagesOf(wish).pickups.flatMap((p) =>
      p.coils.length < 2 || (wish.ledOut[p.id] ?? 'coils apart') === 'coils apart'
        ? []
        : [{ change: { kind: 'all leads out' as const, pickup: p.id }, wish: { ...wish, ledOut: { ...wish.ledOut, [p.id]: 'coils apart' as const } } }],
    ),
};

const anotherPole: ChangeRow = {
  kind: 'another pole',
  of: (wish) =>
    wish.elements.flatMap((e) => {
      const table = e.kind === 'switch' ? e.table : e.kind === 'pot' ? e.pull : null;
      const poles = polesOf(e);
      const [first] = poles;
      if (!table || !first || poles.length > 5) return [];
      const more = withPole(table, first, poles.length + 1);
      const changed: Element = e.kind === 'pot' ? { ...e, pull: more } : e.kind === 'switch' ? { ...e, table: more } : e;
      return [{ change: { kind: 'another pole' as const, element: e.id, poles: poles.length + 1 }, wish: withElement(wish, changed) }];
    }),
};

/** One more pole that is like the first. */
function withPole(table: ContactTable, like: readonly string[], number: number): ContactTable {
  const name = (lug: string): string => `pole ${number} ${lug}`;
  return {
    ...table,
    lugs: [...table.lugs, ...like.map(name)],
    positions: table.positions.map((p) => ({
      joins: [...p.joins, ...p.joins.filter(([a]) => like.includes(a)).map(([a, b]): readonly [string, string] => [name(a), name(b)])],
    })),
  };
}

/** Another push-pull, pulled in some rows: those without which the rest can be. */
const ANOTHER = 'another push-pull';

function pushPull(wish: CircuitWish, rows: readonly number[]): CircuitWish {
  const added: Element = { kind: 'switch', id: ANOTHER, name: null, does: 'mode', place: null, part: null, table: SWITCH_FORMS['push-pull'] };
  return {
    ...wish,
    elements: [...wish.elements, added],
    rows: wish.rows.map((r, i) => (rows.includes(i) ? { ...r, at: { ...r.at, [ANOTHER]: 1 } } : r)),
  };
}

const CHANGES: readonly ChangeRow[] = [coverApart, allLeads, anotherPole];

/** Why a wish cannot be, and what would do. */
export interface WhyNot {
  /** Rows without any one of which the rest can be. */
  readonly rows: readonly number[];
  /** Each by itself makes it possible; where no single one does, pairs that do. */
  readonly changes: readonly (readonly Change[])[];
  /** Every change was gone through to its end. */
  readonly whole: boolean;
}

/** What would make a wish possible that is not. Yields the number of tries so far. */
export function* whyNot(wish: CircuitWish, most = MOST_TRIES): Generator<number, WhyNot> {
  let tries = 0;
  let whole = true;
  function* can(w: CircuitWish): Generator<number, boolean> {
    const b = building(w, most / 8);
    let step = b.next();
    let here = 0;
    while (!step.done) {
      here = step.value;
      yield tries + here;
      step = b.next();
    }
    tries += here;
    whole &&= step.value.whole || step.value.solutions.length > 0;
    return step.value.solutions.length > 0;
  }
  const rows: number[] = [];
  if (wish.rows.length > 1) for (let i = 0; i < wish.rows.length; i++) if (yield* can({ ...wish, rows: wish.rows.filter((_, j) => j !== i) })) rows.push(i);
  const single = CHANGES.flatMap((c) => c.of(wish));
  const changes: (readonly Change[])[] = [];
  for (const { change, wish: w } of single) if (yield* can(w)) changes.push([change]);
  for (const i of rows) if (yield* can(pushPull(wish, [i]))) changes.push([{ kind: 'push-pull', rows: [i] }]);
  if (changes.length === 0)
    for (const { change, wish: w } of single)
      for (const more of CHANGES.flatMap((c) => c.of(w))) if (yield* can(more.wish)) changes.push([change, more.change]);
  return { rows, changes: distinct(changes), whole };
}

/** Two changes in either order are the same. */
function distinct(all: readonly (readonly Change[])[]): readonly (readonly Change[])[] {
  const seen = new Set<string>();
  return all.filter((c) => {
    const key = c
      .map((x) => JSON.stringify(x))
      .toSorted()
      .join();
    return !seen.has(key) && Boolean(seen.add(key));
  });
}
