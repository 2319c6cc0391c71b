import type { Choice } from '../check/index.js';
import type { Act, WorkItem } from '../operation/index.js';
import type { Lack } from '../part/index.js';
import type { Proposal, WayOut } from './proposal.js';

/** Most remedies in one way out. */
export const MOST_TOGETHER = 3;

/** A choice with some remedies put into it: what they set takes the place of what was there, their work stands beside it. Nothing set: the choice itself. */
export function together<C extends Choice>(choice: C, proposals: readonly Proposal[]): C {
  return proposals.reduce((c, { sets }) => {
    const { work, ...fields } = sets;
    if (work === undefined && Object.keys(fields).length === 0) return c;
    return { ...c, ...fields, ...(work ? { work: [...(c.work ?? []), ...work] } : {}) };
  }, choice);
}

/** Can a remedy be put beside some others? Not where they set the same, do the same kind of work, act on the same thing, or one excludes the other. */
export function fitsBeside(one: Proposal, others: readonly Proposal[]): boolean {
  return others.every((o) => !excludes(one, o) && !excludes(o, one) && !sameFields(one, o) && !sameWork(one, o));
}

function excludes({ excludes: list = [] }: Proposal, other: Proposal): boolean {
  return list === 'all' || list.includes(other.kind);
}

function sameFields(a: Proposal, b: Proposal): boolean {
  return Object.keys(a.sets).some((k) => k !== 'work' && k in b.sets);
}

function sameWork(a: Proposal, b: Proposal): boolean {
  const [mine, theirs] = [a.sets.work ?? [], b.sets.work ?? []];
  const acts = new Set(theirs.flatMap((w) => w.does).map(addressOf));
  return mine.some((w: WorkItem) => theirs.some((t) => t.kind === w.kind) || w.does.some((act) => acts.has(addressOf(act))));
}

/** What an act changes, in a word: which kind of act, and every id that it names. */
function addressOf(act: Act): string {
  const ids = Object.entries(act).flatMap(([k, v]) => (typeof v === 'string' && k !== 'kind' && k !== 'by' ? [`${k}=${v}`] : []));
  return [act.kind, ...ids].join(' ');
}

/**
 * A way out of one remedy or a few. `price` is what the part costs: every remedy's price holds it, and it is paid once. Two of 1200 and 1500 of which the part is
 * 900: 900 + 300 + 600 = 1800. Goes wrong when one of them does: 0.3 and 0.1 together 1 − 0.7 · 0.9 = 0.37 [law].
 */
export function wayOut<C extends Choice>(choice: C, of: readonly Proposal[], price: number): WayOut<C> {
  const lacks = new Map(of.flatMap((p) => p.lacks).map((l): [string, Lack] => [JSON.stringify(l), l]));
  const wait = Math.max(0, ...of.map((p) => p.wait ?? 0));
  return {
    id: of.map((p) => p.id).join(' + '),
    kind: of.map((p) => p.kind).join(' + '),
    choice,
    of,
    risk: of.length === 1 ? (of[0]?.risk ?? 0) : 1 - of.reduce((well, p) => well * (1 - p.risk), 1),
    price: of.reduce((sum, p) => sum + p.price - price, price),
    lacks: [...lacks.values()],
    ...(wait > 0 ? { wait } : {}),
  };
}
