import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { AnatomyRevision, LogStep, ShownReading, TakeReading } from '@rinnovo/contract';
import { stepMeanwhile } from '@rinnovo/core/house';
import { acceptReading } from '@rinnovo/core/instrument';
import type { LedgerEntry } from '@rinnovo/core/job';
import { isState, secondReading, targetKey, type Reading } from '@rinnovo/core/quantity';
import { stepRefused, type StepRefused } from '@rinnovo/words';
import { RefusedHere } from '../api/problem-of';
import { Who } from '../api/who';
import { selectJobInHand } from './job-in-hand';
import { anatomy, ledger, readings, work } from './resources';
import { selectJob, selectOpenSurvey, selectPlanState, selectReadings, selectRevisions, selectWork } from './selectors';

/** What was logged and read while the server is away, put upon the state as it is known here, so that the next step builds on it. */
@Injectable({ providedIn: 'root' })
export class Meanwhile {
  private readonly store = inject(Store);
  private readonly who = inject(Who);
  private readonly known = {
    job: this.store.selectSignal(selectJob),
    inHand: this.store.selectSignal(selectJobInHand),
    state: this.store.selectSignal(selectPlanState),
    revisions: this.store.selectSignal(selectRevisions),
    work: this.store.selectSignal(selectWork),
    anatomy: this.store.selectSignal(anatomy.select),
    ledger: this.store.selectSignal(ledger.select),
    readings: this.store.selectSignal(selectReadings),
    shown: this.store.selectSignal(readings.select),
    survey: this.store.selectSignal(selectOpenSurvey),
  };

  /** Judges a step here and goes on from it; throws what it is refused for. */
  step(id: string, said: LogStep): { readonly entry: LedgerEntry } {
    const [job, state, before, held] = [this.known.job(), this.known.state(), this.known.revisions(), this.known.work()];
    const [log, person] = [this.known.ledger(), this.who.id()];
    if (!job || !state || !before || !held || !log.data || person === null) throw refusal('not-now', { detail: 'Not everything is here yet.' });
    const as = { id, instrument: job.instrument, job: job.id, person, at: new Date().toISOString(), before };
    const after = stepMeanwhile(this.known.inHand(), state, said, as);
    if (after.kind !== 'meanwhile') {
      const { code, extra } = stepRefused(after, said);
      throw refusal(code, extra);
    }
    const { entry, operations } = after;
    if (after.anatomy) this.redrawn({ document: after.anatomy, cause: 'work', entry: id }, person);
    this.store.dispatch(work.loaded({ of: job.id, data: { ...held, operations }, version: null }));
    this.store.dispatch(ledger.loaded({ of: job.instrument, data: [...log.data, entry], version: log.version }));
    return { entry };
  }

  /** Takes a reading here; ends in what it says with those before it. */
  reading(id: string, said: TakeReading): { readonly second: string } {
    const [held, shown, person] = [this.known.anatomy().data?.now, this.known.shown(), this.who.id()];
    if (!held || !shown.data || person === null) throw refusal('not-now', { detail: 'Not everything is here yet.' });
    const survey = this.known.survey();
    const under = said.survey !== null && survey?.id === said.survey ? { under: { strings: survey.strings, tuning: survey.tuning } } : {};
    const { instrument, target, value, limit, raw, tool, corrects } = said;
    const reading: Reading = {
      instrument,
      target,
      value,
      limit,
      raw,
      tool,
      corrects,
      survey: said.survey,
      ...under,
      id,
      person,
      at: new Date().toISOString(),
      blind: said.session !== null,
    };
    const key = targetKey(said.target);
    const earlier = this.known.readings().filter((r) => targetKey(r.target) === key && r.id !== said.corrects);
    const document = isState(said.target) ? held.document : acceptReading(held.document, reading, earlier);
    if (document !== held.document) this.redrawn({ document, cause: 'correction', entry: null }, person);
    const all: readonly ShownReading[] = [...shown.data, reading];
    this.store.dispatch(readings.loaded({ of: said.instrument, data: all, version: shown.version }));
    return { second: secondReading(said.target, [...earlier, reading]).state };
  }

  private redrawn(now: Pick<AnatomyRevision, 'document' | 'cause' | 'entry'>, person: string): void {
    const { of, data, version } = this.known.anatomy();
    if (of === null || !data || version === null) return;
    const revision = { ...data.now, ...now, revision: version + 1, person, at: new Date().toISOString() };
    this.store.dispatch(anatomy.loaded({ of, data: { ...data, now: revision }, version: version + 1 }));
  }
}

/** A problem as if the server had answered it: whoever asked shows it the same way. */
const refusal = (code: StepRefused['code'], extra: StepRefused['extra']): RefusedHere =>
  new RefusedHere({ type: `/problems/${code}`, title: TITLES[code], status: 409, ...extra });

const TITLES: Readonly<Record<StepRefused['code'], string>> = {
  'not-now': 'Not possible now',
  'not-clear': 'Not clear to cut',
  'numbers-differ': 'The numbers have changed',
  'cannot-be': 'Not possible',
};
