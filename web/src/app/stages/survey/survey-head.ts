import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { Store } from '@ngrx/store';
import { targetKey } from '@rinnovo/core/quantity';
import { inspectionOf, leftOf } from '@rinnovo/core/survey';
import { SURVEY_KIND_WORDS, dateText, dateTimeText } from '@rinnovo/words';
import { Who } from '../../api/who';
import { anatomy, people } from '../../state/resources';
import { selectOpenSurvey, selectSurvey, selectSurveyed, selectSurveyInView, selectSurveys } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { surveyActions } from '../../state/survey.feature';
import { BeginSurvey } from './begin-survey';
import { attempt } from '../../ui/attempt';

type Asked = 'nothing' | 'begin' | 'conditions' | 'sign';

/** Which survey is looked at, in which conditions, who has the instrument; and its signature. */
@Component({
  selector: 'rn-survey-head',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatMenuModule, BeginSurvey],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey-head.html',
  styleUrl: './survey-head.scss',
})
export class SurveyHead {
  protected readonly date = dateText;
  protected readonly when = dateTimeText;
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly dialog = inject(MatDialog);
  private readonly who = inject(Who);
  private readonly people = this.store.selectSignal(people.select);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly state = this.store.selectSignal(selectSurvey);
  private readonly surveyed = this.store.selectSignal(selectSurveyed);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly all = this.store.selectSignal(selectSurveys);
  protected readonly open = this.store.selectSignal(selectOpenSurvey);
  protected readonly view = this.store.selectSignal(selectSurveyInView);
  protected readonly me = this.who.id;
  private readonly at = computed(() => `${this.view()?.id ?? ''} ${this.view()?.signed ? 'signed' : ''}`);
  /** What is asked just now; nothing more at another survey, or when somebody else signed it. */
  protected readonly asked = linkedSignal<string, Asked>({ source: () => this.at(), computation: () => 'nothing' });
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly unread = computed(() => {
    const [surveyed, state, view] = [this.surveyed(), this.state(), this.view()];
    if (!surveyed || !state || !view) return 0;
    const read = new Set(state.readings.map((t) => targetKey(t.target)));
    return inspectionOf(surveyed)
      .flatMap((r) => r.steps)
      .reduce((n, s) => n + leftOf(s, read, view.skipped).length, 0);
  });

  protected word(kind: keyof typeof SURVEY_KIND_WORDS): string {
    return SURVEY_KIND_WORDS[kind];
  }

  protected nameOf(id: string | null): string {
    return this.people().data?.find((p) => p.id === id)?.name ?? 'unknown person';
  }

  protected look(event: Event): void {
    this.store.dispatch(surveyActions.lookAt({ survey: (event.target as HTMLSelectElement).value }));
  }

  protected ask(what: Asked): void {
    this.asked.update((a) => (a === what ? 'nothing' : what));
  }

  protected take(): Promise<boolean> {
    const [view, me] = [this.view(), this.me()];
    return this.attempt.run(async () => {
      if (view && me !== null) await this.commands.change(view, { holder: me });
    });
  }

  protected sign(): Promise<boolean> {
    const view = this.view();
    return this.attempt.run(async () => {
      if (view) await this.commands.sign(view);
    });
  }

  protected async importFile(): Promise<void> {
    const { ImportReadings } = await import('./import-readings');
    this.dialog.open(ImportReadings, { data: { instrument: this.instrument() }, width: '760px' });
  }
}
