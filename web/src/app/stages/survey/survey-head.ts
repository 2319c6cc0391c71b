import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
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
  imports: [BeginSurvey, MatButtonModule, MatMenuModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as s) {
      <div class="bar">
        @if (all().length > 1) {
          <label class="which">
            <span class="visually-hidden">Survey</span>
            <select (change)="look($event)">
              @for (o of all(); track o.id) {
                <option [value]="o.id" [selected]="o.id === s.id">{{ word(o.kind) }}, {{ date(o.begun) }}{{ o.signed ? '' : ', open' }}</option>
              }
            </select>
          </label>
        } @else {
          <strong>{{ word(s.kind) }}, {{ date(s.begun) }}</strong>
        }
        @if (s.signed; as signature) {
          <span class="state">✓ Signed by {{ nameOf(signature.by) }}, {{ when(signature.at) }}</span>
        } @else {
          <span class="state">{{ nameOf(s.holder) }} holds the instrument</span>
          @if (s.holder !== me()) {
            <button matButton type="button" [disabled]="busy()" (click)="take()">Take over the survey</button>
          }
        }
        <span class="soft">{{ s.strings || 'strings not noted' }} · {{ s.tuning || 'tuning not noted' }}</span>
        <span class="space"></span>
        @if (s.signed === null) {
          <button matButton type="button" [attr.aria-expanded]="asked() === 'conditions'" (click)="ask('conditions')">Conditions</button>
          <button matButton="outlined" type="button" [attr.aria-expanded]="asked() === 'sign'" (click)="ask('sign')">Sign survey …</button>
        } @else if (!open()) {
          <button matButton="outlined" type="button" [attr.aria-expanded]="asked() === 'begin'" (click)="ask('begin')">Start another survey</button>
        }
        <button matButton type="button" [matMenuTriggerFor]="files">Files</button>
        <mat-menu #files="matMenu">
          <a mat-menu-item [href]="'/api/surveys/' + s.id + '/sheet'" download>Condition sheet, PDF</a>
          <a mat-menu-item [href]="'/api/instruments/' + s.instrument + '/readings/csv'" download>All readings, CSV</a>
          <button mat-menu-item type="button" [disabled]="!open()" (click)="importFile()">Import readings from CSV …</button>
        </mat-menu>
      </div>
    }
    @switch (asked()) {
      @case ('begin') {
        <rn-begin-survey class="panel" [instrument]="instrument()" (kept)="asked.set('nothing')" />
      }
      @case ('conditions') {
        <rn-begin-survey class="panel" [instrument]="instrument()" [survey]="view()" (kept)="asked.set('nothing')" />
      }
      @case ('sign') {
        <div class="panel ask" role="group" aria-label="Sign the survey">
          <p>
            @if (unread() > 0) {
              {{ unread() === 1 ? 'One place is' : unread() + ' places are' }} without a reading or a reason.
            } @else {
              Every place has a reading or a reason.
            }
            A signed survey never changes. A correction is saved beside the old reading.
          </p>
          <button matButton="filled" type="button" [disabled]="busy()" (click)="sign()">Sign as {{ nameOf(me()) }}</button>
          <button matButton type="button" (click)="asked.set('nothing')">Cancel</button>
        </div>
      }
    }
    @if (problem(); as p) {
      <p class="problem" role="alert">{{ p }}</p>
    }
  `,
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      min-height: 48px;
    }
    .space {
      flex: 1;
    }
    .state {
      font-weight: 600;
    }
    select {
      font-weight: 600;
    }
    .ask {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: center;
      padding: 0.6rem 1rem;
    }
    .ask p {
      flex: 1 1 24rem;
      margin: 0;
    }
  `,
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
