import type { Decision, DecisionOption, KeptNumber } from '@rinnovo/core/job';
import type { Choice, Evaluation } from '@rinnovo/core/check';
import type { Option } from '@rinnovo/core/remedy';
import type { Revisions } from '@rinnovo/core/instrument';
import type { Knex } from 'knex';

interface Row {
  id: string;
  job: string;
  option: string;
  reason: string;
  person: string;
  at: Date;
  plan_version: number;
  revisions: Revisions;
  choice: string;
  chosen: Choice;
  options: DecisionOption[];
  undone_at: Date | null;
}

function toDecision(r: Row): Decision {
  return {
    id: r.id,
    job: r.job,
    option: r.option,
    reason: r.reason,
    person: r.person,
    at: r.at.toISOString(),
    planVersion: r.plan_version,
    revisions: r.revisions,
    choice: r.choice,
    chosen: r.chosen,
    options: r.options,
    undoneAt: r.undone_at?.toISOString() ?? null,
  };
}

/** The decisions of a job that are in force, oldest first: one for a choice. */
export async function liveDecisions(db: Knex, job: string): Promise<readonly Decision[]> {
  const rows = (await db('decisions').where({ job, undone_at: null }).orderBy('at').limit(200)) as Row[];
  return rows.map(toDecision);
}

export async function decisionById(db: Knex, id: string): Promise<Decision | null> {
  const row = (await db('decisions').where({ id }).first()) as Row | undefined;
  return row ? toDecision(row) : null;
}

/** Every decision of a job, newest first, undone ones too. */
export async function decisionsOf(db: Knex, job: string): Promise<readonly Decision[]> {
  const rows = (await db('decisions').where({ job }).orderBy('at', 'desc').limit(200)) as Row[];
  return rows.map(toDecision);
}

/** An option's numbers as they stand, to be kept with the decision; of the chosen one the whole plan's too. */
export function snapshot(o: Option, whole: Evaluation | null): DecisionOption {
  const { part, needsInsert, woodCut, partCut, plateCut, works } = o.back;
  return {
    id: o.proposal.id,
    kind: o.proposal.kind,
    part: o.proposal.choice.part,
    total: o.score.total,
    minutes: o.minutes,
    wait: o.proposal.wait ?? 0,
    missing: o.proposal.lacks,
    price: o.proposal.price,
    excluded: o.excluded,
    numbers: numbersOf(o.evaluation),
    back: { part, needsInsert, woodCut, partCut, plateCut, works },
    ...(whole ? { whole: numbersOf(whole) } : {}),
  };
}

/** A verdict of each check, as it stood. */
export function numbersOf({ verdicts }: Evaluation): readonly KeptNumber[] {
  return verdicts.map((v) => ({ id: v.id, clearance: v.clearance, class: v.class }));
}
