import type { Clearance, Consent, Decision, Job, PlanRecord, Said, SeenNumber } from '@rinnovo/core/job';
import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { AnatomyRevision, ClearToCut, Instrument, KeepConsent, KeepOwnWork, Person, ReturnPlan, TakeReading } from '@rinnovo/contract';
import type { Plan, Verdict } from '@rinnovo/core/check';
import { restated, type Anatomy, type Revisions } from '@rinnovo/core/instrument';
import type { MeasuringTool } from '@rinnovo/core/part';
import { STATES, usualLimit, type AnyTarget, type StateTarget, type Target } from '@rinnovo/core/quantity';
import type { Option } from '@rinnovo/core/remedy';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Meanwhile } from './meanwhile';
import { planActions } from './plan.actions';
import { anatomy, instrument, jobs, ledger, people, readings, stock, work, WORKSHOP } from './resources';
import { selectOpenSurvey } from './selectors';

/** A value read with a tool, as typed. */
export interface Typed {
  readonly value: number;
  readonly raw: string;
  readonly tool: Pick<MeasuringTool, 'id' | 'limit'>;
  /** Less sure than the tool. */
  readonly coarser?: Coarser | null;
}

/** By how much a reading may be off, in its unit, and why that is more than its tool. */
export interface Coarser {
  readonly limit: number;
  readonly why: string;
}

/** A decision that is to be cleared for cutting, with the plan and the revisions that were on the screen, what was said, and the verdicts that were seen. */
export interface CutToClear {
  readonly job: Job;
  readonly decision: Decision;
  readonly plan: PlanRecord;
  readonly revisions: Revisions;
  readonly said: Said;
  readonly verdicts: readonly Verdict[];
}

/** A state as typed, in its unit. */
export interface StateReading {
  readonly target: StateTarget;
  readonly value: number;
  readonly raw: string;
  /** What stood in for the meter; not there: what usually reads it. */
  readonly tool?: 'simulated meter';
}

const seenOf = (verdicts: readonly Verdict[]): readonly SeenNumber[] => verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));

/** What the technician can do that the server keeps; each loads again what it changed. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class Commands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly meanwhile = inject(Meanwhile);
  private readonly openSurvey = this.store.selectSignal(selectOpenSurvey);

  async addPerson(person: Person): Promise<void> {
    await firstValueFrom(this.api.create(`/people/${person.id}`, person));
    this.store.dispatch(people.load({ of: WORKSHOP }));
  }

  /** An instrument that has just arrived, with a typical anatomy to begin from. */
  async startInstrument(one: Instrument, document: Anatomy): Promise<void> {
    await firstValueFrom(this.api.create(`/instruments/${one.id}`, one));
    await firstValueFrom(this.api.create(`/instruments/${one.id}/anatomy`, { document }));
  }

  /** The same instrument once more under another label; what was read on the first one is only stated of the second. */
  async duplicateInstrument(of: Instrument, as: Pick<Instrument, 'id' | 'label'>): Promise<void> {
    const { body } = await firstValueFrom(this.api.get<AnatomyRevision>(`/instruments/${of.id}/anatomy`));
    await this.startInstrument({ ...of, ...as, serial: '', archived: false }, restated(body.document));
  }

  /** Changes what is known of an instrument; a newer version on the server is refused with both sides. */
  async changeInstrument(one: Instrument, version: number): Promise<void> {
    await firstValueFrom(this.api.change(`/instruments/${one.id}`, version, one));
    this.store.dispatch(instrument.load({ of: one.id }));
  }

  /** A line more in what is noted of an instrument. */
  async addNote(id: string, note: string): Promise<void> {
    const { body, version } = await firstValueFrom(this.api.get<Instrument>(`/instruments/${id}`));
    const notes = [body.notes, note].filter((n) => n !== '').join('\n');
    await firstValueFrom(this.api.change(`/instruments/${id}`, version ?? 1, { ...body, notes }));
    this.store.dispatch(instrument.load({ of: id }));
  }

  /** Puts an instrument away, or takes it out again. */
  async archive(id: string, archived: boolean): Promise<void> {
    const { body, version } = await firstValueFrom(this.api.get<Instrument>(`/instruments/${id}`));
    await firstValueFrom(this.api.change(`/instruments/${id}`, version ?? 1, { ...body, archived }));
  }

  async openJob(job: Job): Promise<void> {
    await firstValueFrom(this.api.create(`/jobs/${job.id}`, job));
    this.store.dispatch(jobs.load({ of: job.instrument }));
  }

  /** Changes a job as it was read just now. */
  async changeJob(job: Job): Promise<void> {
    const { version } = await firstValueFrom(this.api.get<Job>(`/jobs/${job.id}`));
    await firstValueFrom(this.api.change(`/jobs/${job.id}`, version ?? 1, job));
    this.store.dispatch(jobs.load({ of: job.instrument }));
  }

  /** The first plan of a job. */
  async beginPlan(job: Job, revisions: Revisions, plan: Plan): Promise<void> {
    const { body } = await firstValueFrom(this.api.create<PlanRecord>(`/jobs/${job.id}/plan`, { revisions, plan }));
    this.store.dispatch(planActions.loaded({ record: body, draft: null }));
  }

  /** Ends in what the two readings say of one another. */
  async takeReading(instrument: string, target: Target, typed: Typed, session: string | null): Promise<string> {
    const body = {
      instrument,
      target,
      value: typed.value,
      limit: typed.coarser?.limit ?? typed.tool.limit,
      ...(typed.coarser ? { why: typed.coarser.why } : {}),
      raw: typed.raw,
      tool: typed.tool.id,
      session,
      survey: this.openSurvey()?.id ?? null,
      corrects: null,
    };
    const answer = await this.keepReading(body);
    this.reloadInstrument(instrument);
    return answer.second;
  }

  /** States, one after another; each that is in is stated at once, so that what fails after it is not kept twice. */
  async takeStates(instrument: string, list: readonly StateReading[], kept: (one: StateReading) => void, session: string | null = null): Promise<void> {
    try {
      for (const one of list) {
        const { target, value, raw } = one;
        const { by } = STATES[target.quantity];
        const body = {
          instrument,
          target,
          value,
          limit: usualLimit(target.quantity, value),
          raw,
          tool: one.tool ?? by,
          session,
          survey: this.openSurvey()?.id ?? null,
          corrects: null,
        };
        await this.keepReading(body);
        kept(one);
      }
    } finally {
      this.store.dispatch(readings.load({ of: instrument }));
    }
  }

  async beginBlind(instrument: string, target: AnyTarget, tool: string): Promise<string> {
    const id = crypto.randomUUID();
    await firstValueFrom(this.api.create(`/blind-sessions/${id}`, { id, instrument, target, tool, zeroed: true }));
    this.store.dispatch(readings.load({ of: instrument }));
    return id;
  }

  /** Ends a blind reading without a value; one that somebody else opened with a reason. */
  async endBlind(instrument: string, session: string, reason?: string): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/blind-sessions/${session}`, 1, reason === undefined ? {} : { reason }));
    this.reloadInstrument(instrument);
  }

  async chooseRemedy(job: Job, plan: PlanRecord, revisions: Revisions, option: Option, reason: string): Promise<Decision> {
    const body = {
      job: job.id,
      planVersion: plan.version,
      revisions,
      choice: option.proposal.choice.id,
      option: option.proposal.id,
      reason,
      seen: seenOf(option.evaluation.verdicts),
    };
    const { body: answer } = await firstValueFrom(this.api.create<{ decision: Decision; plan: PlanRecord }>(`/decisions/${crypto.randomUUID()}`, body));
    this.store.dispatch(planActions.loaded({ record: answer.plan, draft: null }));
    this.store.dispatch(work.load({ of: job.id }));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
    return answer.decision;
  }

  async takeDecisionBack(job: Job, decision: Decision): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/decisions/${decision.id}`));
    this.store.dispatch(work.load({ of: job.id }));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
  }

  /** Goes back from begun work; what was worked out for it goes along. */
  async goBack(job: Job, decision: Decision, way: ReturnPlan, reason: string): Promise<void> {
    const seen = way.numbers.map((n) => ({ id: n.id, clearance: n.clearance }));
    const body = { decision: decision.id, reason, operations: way.operations, seen };
    const { body: answer } = await firstValueFrom(this.api.create<{ plan: PlanRecord }>(`/ways-back/${crypto.randomUUID()}`, body));
    this.store.dispatch(planActions.loaded({ record: answer.plan, draft: null }));
    this.store.dispatch(work.load({ of: job.id }));
    this.reloadInstrument(job.instrument);
  }

  /** What the owner agreed to. */
  async keepConsent(job: Job, decision: Decision, said: Omit<KeepConsent, 'decision'>): Promise<void> {
    await firstValueFrom(this.api.create(`/consents/${crypto.randomUUID()}`, { decision: decision.id, ...said }));
    this.store.dispatch(work.load({ of: job.id }));
  }

  /** What the owner said when he took his yes back. */
  async withdrawConsent(job: Job, consent: Consent, said: string): Promise<void> {
    await firstValueFrom(this.api.create(`/consent-withdrawals/${crypto.randomUUID()}`, { consent: consent.id, said }));
    this.store.dispatch(work.load({ of: job.id }));
  }

  async clearToCut({ job, decision, plan, revisions, said: { accepted, print }, verdicts }: CutToClear): Promise<void> {
    const body: ClearToCut = { job: job.id, decision: decision.id, planVersion: plan.version, revisions, accepted, print, seen: seenOf(verdicts) };
    await firstValueFrom(this.api.create<Clearance>(`/clearances/${crypto.randomUUID()}`, body));
    this.store.dispatch(work.load({ of: job.id }));
  }

  async reorder(job: Job, order: readonly string[]): Promise<void> {
    await firstValueFrom(this.api.create(`/jobs/${job.id}/order`, { order }));
    this.store.dispatch(work.load({ of: job.id }));
  }

  /** Puts work of one's own into a job. */
  async addOwnWork(job: Job, own: Omit<KeepOwnWork, 'job' | 'feature'>): Promise<void> {
    await firstValueFrom(this.api.create(`/own-work/${crypto.randomUUID()}`, { ...own, job: job.id, feature: null }));
    this.store.dispatch(work.load({ of: job.id }));
  }

  async takeOwnWorkOut(job: Job, id: string): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/own-work/${id}`));
    this.store.dispatch(work.load({ of: job.id }));
  }

  async acceptBreak(job: Job, rule: string, operations: readonly string[], reason: string): Promise<void> {
    await firstValueFrom(this.api.create(`/waivers/${crypto.randomUUID()}`, { job: job.id, rule, operations, reason }));
    this.store.dispatch(work.load({ of: job.id }));
  }

  /** A reading that hides others is the server's to judge; any other goes on from here while the server is away. */
  private async keepReading(body: TakeReading): Promise<{ readonly second: string }> {
    const id = crypto.randomUUID();
    const meanwhile = body.session === null ? () => this.meanwhile.reading(id, body) : null;
    const { body: answer } = await firstValueFrom(this.api.create<{ second: string }>(`/readings/${id}`, body, meanwhile));
    return answer;
  }

  private reloadInstrument(of: string): void {
    this.store.dispatch(anatomy.load({ of }));
    this.store.dispatch(readings.load({ of }));
    this.store.dispatch(ledger.load({ of }));
  }
}
