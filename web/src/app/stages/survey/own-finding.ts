import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { featuresOf } from '@rinnovo/core/instrument';
import type { Severity } from '@rinnovo/core/survey';
import { SEVERITY_WORDS } from '@rinnovo/words';
import { selectAnatomy, selectSurveyInView } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { attempt } from '../../ui/attempt';
import { Claims } from '../../ui/claims';

/** Something that was seen and that no rule can know, pinned to the feature where it is. */
@Component({
  selector: 'rn-own-finding',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, Claims],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="keep($event)" novalidate>
      <mat-form-field class="text" subscriptSizing="dynamic">
        <mat-label>Add a finding</mat-label>
        <input matInput name="text" maxlength="500" autocomplete="off" placeholder="seam line under the finish" [value]="text()" (input)="type($event)" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Where</mat-label>
        <mat-select [value]="feature()" (valueChange)="feature.set($event)">
          <mat-option [value]="null">no feature</mat-option>
          @for (f of features(); track f.id) {
            <mat-option [value]="f.id">{{ f.name }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Severity</mat-label>
        <mat-select [value]="severity()" (valueChange)="severity.set($event)">
          @for (s of severities; track s.id) {
            <mat-option [value]="s.id">{{ s.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <button matButton="outlined" type="submit" [disabled]="busy()">Add finding</button>
      <rn-claims [text]="text()" />
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: center;
      padding: 0.6rem 1rem;
    }
    mat-form-field {
      flex: 1 1 9rem;
    }
    .text {
      flex-grow: 3;
    }
    p {
      flex-basis: 100%;
      margin: 0;
    }
  `,
})
export class OwnFinding {
  readonly instrument = input.required<string>();
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly survey = this.store.selectSignal(selectSurveyInView);
  protected readonly severities = (['leave', 'watch', 'put right', 'stop'] as const).map((id) => ({ id, word: SEVERITY_WORDS[id].word }));
  protected readonly features = computed(() => {
    const a = this.anatomy();
    return a ? featuresOf(a).map((f) => ({ id: f.id, name: f.of.name })) : [];
  });
  protected readonly text = signal('');
  protected readonly feature = signal<string | null>(null);
  protected readonly severity = signal<Severity>('watch');
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;

  protected type(event: Event): void {
    this.problem.set(null);
    this.text.set((event.target as HTMLInputElement).value);
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    if (this.busy()) return;
    const text = this.text().trim();
    if (text === '') {
      this.problem.set('Type what you found');
      return;
    }
    await this.attempt.run(async () => {
      const about = { instrument: this.instrument(), survey: this.survey()?.id ?? null, feature: this.feature(), severity: this.severity() };
      await this.commands.keepFinding({ ...about, text, rule: null, job: null, done: false, withdrawn: false });
      this.text.set('');
    });
  }
}
