import { createSelector } from '@ngrx/store';
import { benchInput, standing, standingClearance, unlookedOf, type BenchAsked, type JobInHand } from '@rinnovo/core/job';
import { ledger, people } from './resources';
import { selectDecision, selectDecisions, selectJob, selectPlan, selectReadings, selectWork } from './selectors';

/** The job on the screen as its facts say it stands, but for the readings: those come while the work stays. */
const selectJobFacts = createSelector(
  createSelector({ work: selectWork, decisions: selectDecisions, plan: selectPlan, ledger: ledger.select, job: selectJob, people: people.select }),
  ({ work: w, decisions, plan, ledger: l, job, people: p }): Omit<JobInHand, 'readings'> => ({
    id: job?.id ?? '',
    plan,
    decisions,
    operations: w?.operations ?? [],
    waivers: w?.waivers ?? [],
    clearances: w?.clearances ?? [],
    consents: w?.consents ?? [],
    technicians: p.data?.filter((x) => x.role === 'technician').length ?? 1,
    owner: w?.owner ?? { clients: true, changed: null },
    ledger: standing(l.data ?? []).filter((e) => e.job === job?.id),
    unlooked: unlookedOf(l.data ?? []),
  }),
);

/** The job on the screen, whole: what the gate is asked from. */
export const selectJobInHand = createSelector(selectJobFacts, selectReadings, (facts, readings): JobInHand => ({ ...facts, readings }));

export const selectBenchInput = createSelector(selectJobFacts, (facts): BenchAsked => benchInput(facts));

/** The clearance that stands for the choice that is looked at. */
export const selectStanding = createSelector(selectJobFacts, selectDecision, (facts, decision) => decision && standingClearance(decision, facts));

/** What the owner agreed to of what is decided of the choice that is looked at. */
export const selectYes = createSelector(selectWork, selectDecision, (w, decision) => w?.consents.findLast((c) => c.decision === decision?.id) ?? null);
