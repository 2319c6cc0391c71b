import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { isState, STATES, type Reading, type StateId, type StateTarget } from '@rinnovo/core/quantity';
import { readingsIn, typedState } from '@rinnovo/core/survey';
import { answersOf, STATE_WORDS, stateText, stateTitle, typedProblem, dateTimeText } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { people } from '../../state/resources';
import { selectNames, selectReadings, selectSurveyInView } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { viewFeature } from '../../state/view.feature';

/** The readings of a signed survey: nothing in it changes, a correction stands beside what it corrects. */
@Component({
  selector: 'rn-signed-readings',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ title() }}</h2>
    @if (quantity() !== null) {
      <button matButton type="button" (click)="all.emit()">Readings of this survey</button>
    }
    <p class="soft">This survey is signed. Correct a mistake with a new reading; the old one stays, struck through.</p>
    <ul class="rows">
      @for (r of rows(); track r.id) {
        <li [attr.data-reading]="r.id">
          <span class="what">
            {{ r.title }}
            <span class="soft">{{ r.person }}, {{ when(r.at) }}{{ r.correction ? ', a correction' : '' }}</span>
          </span>
          <span class="number" [class.gone]="r.gone">{{ r.value }}</span>
          @if (r.gone) {
            <span class="soft">corrected</span>
          } @else {
            <button matButton type="button" [attr.aria-expanded]="open() === r.id" [attr.aria-label]="'Correct ' + r.title" (click)="toggle(r.id)">
              Correct
            </button>
          }
          @if (open() === r.id) {
            <form (submit)="keep($event, r.reading, r.target)" novalidate>
              <label [for]="'was-' + r.id">Correct value</label>
              @if (r.answers; as answers) {
                <select [id]="'was-' + r.id" (change)="type($event)">
                  <option value="">choose</option>
                  @for (a of answers; track a; let n = $index) {
                    <option [value]="n">{{ a }}</option>
                  }
                </select>
              } @else {
                <input [id]="'was-' + r.id" autocomplete="off" [value]="text()" [attr.aria-invalid]="wrong(r.target) !== null" (input)="type($event)" />
              }
              <button matButton="filled" type="submit" [disabled]="busy()">Save correction</button>
              @if (wrong(r.target) ?? problem(); as p) {
                <p class="problem" role="alert">{{ p }}</p>
              }
            </form>
          }
        </li>
      } @empty {
        <li class="soft">No readings in this survey.</li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
      padding: 0.6rem 1rem 1rem;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      min-height: 48px;
      border-block-end: 1px solid var(--rn-line);
    }
    .what {
      flex: 1;
    }
    .gone {
      text-decoration: line-through;
    }
    form {
      display: flex;
      flex-basis: 100%;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
      padding-block-end: 0.6rem;
    }
  `,
})
export class SignedReadings {
  protected readonly when = dateTimeText;
  /** Only of this; null: all of them. */
  readonly quantity = input<StateId | null>(null);
  readonly all = output();
  protected readonly title = computed(() => {
    const q = this.quantity();
    return q === null ? 'Readings of this survey' : STATE_WORDS[q].name;
  });
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly view = this.store.selectSignal(selectSurveyInView);
  private readonly readings = this.store.selectSignal(selectReadings);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly people = this.store.selectSignal(people.select);
  protected readonly open = signal<string | null>(null);
  protected readonly text = signal('');
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly rows = computed(() => {
    const view = this.view();
    const of = view ? readingsIn(view.id, this.readings()) : [];
    const gone = new Set(of.map((r) => r.corrects));
    return of.flatMap((reading) => {
      const { target } = reading;
      if (!isState(target) || (this.quantity() !== null && target.quantity !== this.quantity())) return [];
      return [
        {
          id: reading.id,
          reading,
          target,
          title: stateTitle(target, this.names()),
          value: stateText(target.quantity, reading.value, this.unit()),
          person: this.people().data?.find((p) => p.id === reading.person)?.name ?? 'unknown person',
          at: reading.at,
          gone: gone.has(reading.id),
          correction: reading.corrects !== null,
          answers: answersOf(target.quantity),
        },
      ];
    });
  });

  protected toggle(id: string): void {
    this.text.set('');
    this.problem.set(null);
    this.open.update((o) => (o === id ? null : id));
  }

  protected type(event: Event): void {
    this.problem.set(null);
    this.text.set((event.target as HTMLInputElement | HTMLSelectElement).value);
  }

  protected wrong(target: StateTarget): string | null {
    return typedProblem(target.quantity, typedState(target.quantity, this.text(), this.unit()), this.unit());
  }

  /** What was typed; of a choice the answer that was chosen. */
  private rawOf(t: StateTarget, value: number): string {
    return (STATES[t.quantity].unit === 'choice' ? stateText(t.quantity, value, 'mm') : this.text().trim()).slice(0, 80);
  }

  protected async keep(event: Event, old: Reading, target: StateTarget): Promise<void> {
    event.preventDefault();
    const typed = typedState(target.quantity, this.text(), this.unit());
    if (this.busy()) return;
    if (typed.kind !== 'value') {
      this.problem.set('Type the correct value');
      return;
    }
    await this.attempt.run(async () => {
      await this.commands.correct({ ...old, target }, typed.value, this.rawOf(target, typed.value));
      this.open.set(null);
    });
  }
}
