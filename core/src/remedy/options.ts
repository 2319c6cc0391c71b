import { bareChoice, evaluateIn, evaluatePlan, withChoice, type Choice, type Evaluation, type Plan, type PlanState } from '../check/index.js';
import { waysOf, type RemedyRows } from './choice-ways.js';
import type { Proposal, WayOut } from './proposal.js';
import type { OwnerRequest } from './score.js';
import { fitsBeside, MOST_TOGETHER, wayOut } from './together.js';
import { workOut, type Option } from './work-out.js';

/** A way out that is worked out, and how many there will be. */
export interface OptionInTurn {
  readonly option: Option;
  readonly of: number;
}

/** Every way out of one choice of a plan, worked out in the whole of it and ranked: the best first, the excluded after, the baseline last. */
export function optionsFor(rows: RemedyRows, state: PlanState, plan: Plan, choice: Choice, request: OwnerRequest): readonly Option[] {
  return ranked([...optionsInTurn(rows, state, plan, choice, request)].map((o) => o.option));
}

/**
 * The same one after the other, not ranked yet: each is a sum of its own, between two of them the worker can tell how far it is. First each remedy by itself, then what
 * further remedies make of those that leave a clash.
 */
export function* optionsInTurn(rows: RemedyRows, state: PlanState, plan: Plan, choice: Choice, request: OwnerRequest): Generator<OptionInTurn, void> {
  const judged = new Map<Choice, Evaluation>();
  const within = (c: Choice): Evaluation => {
    const known = judged.get(c) ?? evaluatePlan(rows, state, withChoice(plan, c));
    judged.set(c, known);
    return known;
  };
  const ways = waysOf(rows, choice);
  const bare = bareChoice(rows, choice);
  const now = within(bare);
  const wayOf = (of: readonly Proposal[]): WayOut => {
    const made = ways.with(bare, of);
    return wayOut(made, of, ways.price({ rows, state }, made));
  };
  const proposals = ways.proposals({ rows, state, plan, now }, choice, bare);
  const kept = proposals.find((p) => p.kind === 'keep');
  if (!kept) throw new RangeError('nothing to keep');
  const found = within(wayOf([kept]).choice);
  const option = (of: readonly Proposal[]): Option => workOut(wayOf(of), { rows, state, request, within, now, found, asked: choice.part });
  const alone: Option[] = [];
  for (const p of proposals) {
    const o = option([p]);
    alone.push(o);
    yield { option: o, of: proposals.length };
  }
  const tried = (of: readonly Proposal[]): Tried => {
    const { choice: made } = wayOf(of);
    return { of, choice: made, evaluation: evaluateIn(rows, state, withChoice(plan, made), made) };
  };
  const further = (t: Tried): readonly Proposal[] => ways.proposals({ rows, state, plan, now: t.evaluation }, choice, t.choice);
  const first = alone.map(({ proposal, evaluation }): Tried => ({ of: proposal.of, choice: proposal.choice, evaluation }));
  let of = proposals.length;
  for (const together of solvedTogether(first, { tried, further })) yield { option: option(together), of: ++of };
}

/** Some remedies put into a choice, and what is said of that choice then: all that the search for combinations asks. */
interface Tried {
  readonly of: readonly Proposal[];
  readonly choice: Choice;
  readonly evaluation: Evaluation;
}

const clashesOf = ({ evaluation }: Tried): number => evaluation.verdicts.filter((v) => v.class === 'clashes').length;
const kindsOf = (of: readonly Proposal[]): readonly string[] => of.map((p) => p.kind);

/**
 * What some remedies come to together, up to three: each is put to one that leaves a clash, as it sees things after that. A combination is told when it leaves none,
 * nothing of it can be spared, and every remedy in it left fewer than there were.
 */
function* solvedTogether(
  alone: readonly Tried[],
  ask: { readonly tried: (of: readonly Proposal[]) => Tried; readonly further: (t: Tried) => readonly Proposal[] },
): Generator<readonly Proposal[]> {
  const isSolved = (t: Tried): boolean => clashesOf(t) === 0;
  const solved = alone.filter(isSolved).map((t) => kindsOf(t.of));
  const seen = new Set<string>();
  let open = alone.filter((t) => !isSolved(t) && t.of.every((p) => p.excludes !== 'all'));
  for (let n = 2; n <= MOST_TOGETHER; n++) {
    const next: Tried[] = [];
    for (const before of open)
      for (const p of ask.further(before)) {
        const of = [...before.of, p];
        const kinds = kindsOf(of);
        const name = kinds.toSorted().join(' ');
        if (seen.has(name) || solved.some((s) => s.every((k) => kinds.includes(k))) || !fitsBeside(p, before.of)) continue;
        seen.add(name);
        const t = ask.tried(of);
        if (isSolved(t)) {
          solved.push(kinds);
          yield of;
        } else if (clashesOf(t) < clashesOf(before)) next.push(t);
      }
    open = next;
  }
}

/** The best first, the excluded after, the baseline last. */
export function ranked(options: readonly Option[]): readonly Option[] {
  return [...options].sort(byRank);
}

function byRank(a: Option, b: Option): number {
  const group = (o: Option): number => (o.excluded === null ? 0 : o.excluded.kind === 'baseline' ? 2 : 1);
  return group(a) - group(b) || b.score.total - a.score.total || a.proposal.id.localeCompare(b.proposal.id);
}
