import type { Decision, DecisionOption } from '@rinnovo/contract';
import type { Plan } from '@rinnovo/core/check';
import type { Option } from '@rinnovo/core/remedy';
import type { Knex } from 'knex';

interface Row {
  id: string;
  job: string;
  option: string;
  reason: string;
  person: string;
  at: Date;
  plan_version: number;
  revision: number;
  plan: Plan;
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
    revision: r.revision,
    plan: r.plan,
    options: r.options,
    undoneAt: r.undone_at?.toISOString() ?? null,
  };
}

/** The decision in force; null while none is. */
export async function liveDecision(db: Knex, job: string): Promise<Decision | null> {
  const row = (await db('decisions').where({ job, undone_at: null }).first()) as Row | undefined;
  return row ? toDecision(row) : null;
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

/** An option's numbers as they stand, to be kept with the decision. */
export function snapshot(o: Option): DecisionOption {
  return {
    id: o.proposal.id,
    kind: o.proposal.kind,
    part: o.proposal.plan.part,
    total: o.score.total,
    minutes: o.minutes,
    price: o.proposal.price,
    excluded: o.excluded,
    numbers: o.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance, class: v.class })),
  };
}
