import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { BeginSurvey, ChangeSurvey, KeepFinding, KeptFinding, KeptSurvey } from '@rinnovo/contract';
import type { ImportedReading } from '@rinnovo/core/format';
import { STATES, targetKey, usualLimit, type Reading, type StateTarget } from '@rinnovo/core/quantity';
import { AS_THE_FILE_SAYS } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { anatomy, findings, profiles, readings, surveys, WORKSHOP } from './resources';
import { selectOpenSurvey } from './selectors';
import { surveyActions } from './survey.feature';

const changeable = ({ strings, tuning, work, skipped, holder }: KeptSurvey): ChangeSurvey => ({ strings, tuning, work, skipped, holder });

/** What is done with surveys, findings and profiles; each loads again what it changed. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class SurveyCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly open = this.store.selectSignal(selectOpenSurvey);

  async begin(survey: BeginSurvey): Promise<void> {
    const id = crypto.randomUUID();
    await firstValueFrom(this.api.create(`/surveys/${id}`, survey));
    this.store.dispatch(surveyActions.lookAt({ survey: id }));
    this.store.dispatch(surveys.load({ of: survey.instrument }));
  }

  /** Changes what is said beside the readings; a version that is newer on the server is refused. */
  async change(survey: KeptSurvey, what: Partial<ChangeSurvey>): Promise<void> {
    try {
      await firstValueFrom(this.api.change(`/surveys/${survey.id}`, survey.version, { ...changeable(survey), ...what }));
    } finally {
      this.store.dispatch(surveys.load({ of: survey.instrument }));
    }
  }

  /** A value that cannot be measured, and why; an empty reason takes that back. */
  outOfReach(survey: KeptSurvey, target: StateTarget, reason: string): Promise<void> {
    const rest = survey.skipped.filter((s) => targetKey(s.target) !== targetKey(target));
    return this.change(survey, { skipped: reason === '' ? rest : [...rest, { target, reason }] });
  }

  async sign(survey: KeptSurvey): Promise<void> {
    try {
      await firstValueFrom(this.api.change(`/surveys/${survey.id}/signature`, survey.version, {}));
      this.store.dispatch(surveyActions.lookAt({ survey: survey.id }));
    } finally {
      this.store.dispatch(surveys.load({ of: survey.instrument }));
    }
  }

  /** A reading that takes the place of another one of the same survey. */
  async correct(
    old: Pick<Reading, 'id' | 'instrument' | 'survey' | 'limit' | 'tool'> & { readonly target: StateTarget },
    value: number,
    raw: string,
  ): Promise<void> {
    const { instrument, survey, target, tool, id } = old;
    const limit = STATES[target.quantity].share === undefined ? old.limit : usualLimit(target.quantity, value);
    await firstValueFrom(
      this.api.create(`/readings/${crypto.randomUUID()}`, { instrument, target, value, limit, raw, tool, session: null, survey, corrects: id }),
    );
    this.store.dispatch(readings.load({ of: instrument }));
  }

  /** Readings of a file, one after another, into the open survey; `taken` tells how many are in. */
  async takeImported(instrument: string, list: readonly ImportedReading[], taken: (count: number) => void): Promise<void> {
    try {
      for (const [i, { target, value, limit, raw, tool, coarser }] of list.entries()) {
        const said = { target, value, limit, raw, tool, ...(coarser ? { why: AS_THE_FILE_SAYS } : {}) };
        const body = { instrument, ...said, session: null, survey: this.open()?.id ?? null, corrects: null };
        await firstValueFrom(this.api.create(`/readings/${crypto.randomUUID()}`, body));
        taken(i + 1);
      }
    } finally {
      this.store.dispatch(readings.load({ of: instrument }));
      this.store.dispatch(anatomy.load({ of: instrument }));
    }
  }

  async keepFinding(finding: KeepFinding): Promise<void> {
    await firstValueFrom(this.api.create(`/findings/${crypto.randomUUID()}`, finding));
    this.store.dispatch(findings.load({ of: finding.instrument }));
  }

  async changeFinding(f: KeptFinding, what: Partial<Pick<KeepFinding, 'job' | 'done' | 'withdrawn'>>): Promise<void> {
    const { instrument, survey, rule, feature, text, severity, job, done, withdrawn } = f;
    try {
      await firstValueFrom(
        this.api.change(`/findings/${f.id}`, f.version, { instrument, survey, rule, feature, text, severity, job, done, withdrawn, ...what }),
      );
    } finally {
      this.store.dispatch(findings.load({ of: instrument }));
    }
  }

  async keepProfile(survey: string, name: string): Promise<void> {
    await firstValueFrom(this.api.create(`/profiles/${crypto.randomUUID()}`, { survey, name }));
    this.store.dispatch(profiles.load({ of: WORKSHOP }));
  }
}
