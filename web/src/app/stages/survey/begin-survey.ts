import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { KeptSurvey } from '@rinnovo/contract';
import { SURVEY_KINDS, type SurveyKind } from '@rinnovo/core/survey';
import { SURVEY_KIND_WORDS } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { SurveyCommands } from '../../state/survey-commands';

/** What is asked once of a survey: why it is made, the strings that are on and their tuning. Begins one, or changes the one it is given. */
@Component({
  selector: 'rn-begin-survey',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="keep($event)" novalidate>
      @if (!survey()) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Reason for the survey</mat-label>
          <mat-select [value]="kind()" (valueChange)="kind.set($event)">
            @for (k of kinds; track k.kind) {
              <mat-option [value]="k.kind">{{ k.word }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      }
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Strings fitted</mat-label>
        <input
          matInput
          name="strings"
          maxlength="200"
          autocomplete="off"
          placeholder="10–46, old set"
          [value]="strings()"
          (input)="strings.set(value($event))"
        />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Tuning</mat-label>
        <input matInput name="tuning" maxlength="200" autocomplete="off" placeholder="standard, A 440" [value]="tuning()" (input)="tuning.set(value($event))" />
      </mat-form-field>
      <button matButton="filled" type="submit" [disabled]="busy()">{{ survey() ? 'Save conditions' : 'Start survey' }}</button>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
      padding: 0.6rem 1rem;
    }
    mat-form-field {
      flex: 1 1 11rem;
    }
    p {
      flex-basis: 100%;
      margin: 0;
    }
  `,
})
export class BeginSurvey {
  readonly instrument = input.required<string>();
  readonly survey = input<KeptSurvey | null>(null);
  readonly kept = output();
  private readonly commands = inject(SurveyCommands);

  protected readonly kinds = SURVEY_KINDS.map((kind) => ({ kind, word: SURVEY_KIND_WORDS[kind] }));
  private readonly knownStrings = computed(() => this.survey()?.strings ?? '');
  private readonly knownTuning = computed(() => this.survey()?.tuning ?? '');
  protected readonly kind = signal<SurveyKind>('as found');
  protected readonly strings = linkedSignal(() => this.knownStrings());
  protected readonly tuning = linkedSignal(() => this.knownTuning());
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const said = { strings: this.strings().trim(), tuning: this.tuning().trim() };
    const survey = this.survey();
    await this.attempt.run(async () => {
      if (survey) await this.commands.change(survey, said);
      else await this.commands.begin({ instrument: this.instrument(), kind: this.kind(), work: [], ...said });
      this.kept.emit();
    });
  }
}
