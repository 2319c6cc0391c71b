import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { STATES } from '@rinnovo/core/quantity';
import { compareStates, coursesOf, placeNumber, readingsIn, stateOf, type Difference, type StateValue } from '@rinnovo/core/survey';
import { changeText, STATE_WORDS, stateText, stateTitle, SURVEY_KIND_WORDS, dateText } from '@rinnovo/words';
import { profiles } from '../../state/resources';
import { selectNames, selectReadings, selectSurveyed, selectSurveys } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { viewFeature } from '../../state/view.feature';
import { CourseChart } from './course-chart';
import { SurveyNav } from './survey-nav';
import { attempt } from '../../ui/attempt';

/** One side of a comparison. */
interface Side {
  readonly id: string;
  readonly word: string;
  readonly values: readonly StateValue[];
}

/** A survey beside an earlier one or a profile: what differs by more than both tools can be wrong. */
@Component({
  selector: 'rn-compare-page',
  imports: [CourseChart, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, SurveyNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">Compare</h1>
    <rn-survey-nav />
    @if (surveys().length === 0) {
      <p class="panel empty">No surveys to compare yet. Start one under Inspection.</p>
    } @else {
      <section class="panel choose" aria-label="Surveys to compare">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>First survey</mat-label>
          <mat-select [value]="from()" (valueChange)="choose({ from: $event })">
            @for (s of sides(); track s.id) {
              <mat-option [value]="s.id">{{ s.word }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Second survey</mat-label>
          <mat-select [value]="to()" (valueChange)="choose({ to: $event })">
            @for (s of sides(); track s.id) {
              <mat-option [value]="s.id">{{ s.word }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        @if (toSurvey(); as s) {
          <form (submit)="keepProfile($event, s)" novalidate>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Save the second survey as a profile named</mat-label>
              <input matInput name="profile" maxlength="120" autocomplete="off" [value]="name()" (input)="type($event)" />
            </mat-form-field>
            <button matButton="outlined" type="submit" [disabled]="busy()">Save profile</button>
          </form>
        }
        @if (problem(); as p) {
          <p class="problem" role="alert">{{ p }}</p>
        }
        <span role="status" class="soft">{{ said() }}</span>
      </section>
      <div class="both">
        <section class="panel list" tabindex="0" aria-label="Differences">
          <p class="head">
            <strong class="number">{{ differing() }}</strong> of {{ rows().length }} differ by more than the limits of both tools.
          </p>
          <table>
            <thead>
              <tr>
                <th scope="col">Reading</th>
                <th scope="col">First survey</th>
                <th scope="col">Second survey</th>
                <th scope="col">Change</th>
              </tr>
            </thead>
            <tbody>
              @for (r of rows(); track r.title) {
                <tr [class.differs]="r.differs">
                  <th scope="row">{{ r.title }}{{ r.note }}</th>
                  <td class="number">{{ r.from }}</td>
                  <td class="number">{{ r.to }}</td>
                  <td class="number">{{ r.differs ? '≠ ' : '' }}{{ r.change }}</td>
                </tr>
              } @empty {
                <tr>
                  <td colspan="4">No readings on either side.</td>
                </tr>
              }
            </tbody>
          </table>
        </section>
        <section class="panel charts" tabindex="0" aria-label="Charts">
          @for (c of courses(); track c.title) {
            <h2>{{ c.title }}</h2>
            <rn-course-chart [title]="c.title" [places]="c.places" [unit]="c.unit" [lines]="c.lines" [theme]="theme()" />
          } @empty {
            <p class="empty">Readings at several strings or frets appear as a chart.</p>
          }
        </section>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: auto auto minmax(0, 1fr);
      gap: 0.4rem;
      height: 100%;
    }
    .choose,
    .choose form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
    }
    .choose {
      padding: 0.6rem 1rem;
    }
    .choose mat-form-field {
      min-width: 15rem;
    }
    .choose form mat-form-field {
      min-width: 20rem;
    }
    .both {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 0.75rem;
      min-height: 0;
    }
    .list,
    .charts {
      overflow: auto;
      min-height: 0;
    }
    .head {
      padding: 0.6rem 1rem 0;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 0.35rem 0.5rem 0.35rem 1rem;
      text-align: start;
      border-block-end: 1px solid var(--rn-line);
    }
    td {
      white-space: nowrap;
    }
    tbody th {
      font-weight: 400;
    }
    .differs th,
    .differs td {
      font-weight: 600;
    }
    h2 {
      padding: 0.6rem 1rem 0;
    }
    rn-course-chart {
      margin: 0 1rem;
    }
    .empty {
      padding: 2rem;
    }
  `,
})
export class ComparePage {
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly surveyed = this.store.selectSignal(selectSurveyed);
  private readonly readings = this.store.selectSignal(selectReadings);
  private readonly held = this.store.selectSignal(profiles.select);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly theme = this.store.selectSignal(viewFeature.selectTheme);
  protected readonly surveys = this.store.selectSignal(selectSurveys);
  protected readonly sides = computed((): readonly Side[] => {
    const surveyed = this.surveyed();
    if (!surveyed) return [];
    const own = this.surveys().map((s): Side => {
      const { readings } = stateOf(surveyed, readingsIn(s.id, this.readings()));
      const word = `${SURVEY_KIND_WORDS[s.kind]}, ${dateText(s.begun)}${s.signed ? '' : ', open'}`;
      return {
        id: s.id,
        word,
        values: readings.map(({ target, reading }) => ({
          target,
          value: reading.value,
          limit: reading.limit,
          ...(reading.under ? { under: reading.under } : {}),
        })),
      };
    });
    return [...own, ...(this.held().data ?? []).map((p): Side => ({ id: p.id, word: `Profile: ${p.name}`, values: p.values }))];
  });
  private readonly chosen = signal<{ readonly from: string | null; readonly to: string | null }>({ from: null, to: null });
  /** What was chosen; at first the newest survey against the one before it, else against a profile. */
  protected readonly to = computed(() => this.side(this.chosen().to)?.id ?? this.surveys().at(-1)?.id ?? null);
  protected readonly from = computed(
    () => this.side(this.chosen().from)?.id ?? this.surveys().at(-2)?.id ?? this.held().data?.[0]?.id ?? this.surveys().at(-1)?.id ?? null,
  );
  protected readonly toSurvey = computed(() => this.surveys().find((s) => s.id === this.to())?.id ?? null);
  private readonly differences = computed(() => compareStates(this.side(this.from())?.values ?? [], this.side(this.to())?.values ?? []));
  protected readonly rows = computed(() => this.differences().map((d) => this.row(d)));
  protected readonly differing = computed(() => this.differences().filter((d) => d.differs).length);
  protected readonly courses = computed(() =>
    coursesOf(this.differences()).map((c) => ({
      title: STATE_WORDS[c.quantity].name,
      unit: STATES[c.quantity].unit,
      places: c.places.map((t) => (placeNumber(t) > 0 ? String(placeNumber(t)) : stateTitle(t, this.names()).replace(`${STATE_WORDS[c.quantity].name}, `, ''))),
      lines: [
        { label: this.side(this.from())?.word ?? '', values: c.from },
        { label: this.side(this.to())?.word ?? '', values: c.to },
      ],
    })),
  );
  protected readonly name = signal('');
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');

  protected choose(side: { readonly from?: string; readonly to?: string }): void {
    this.chosen.update((c) => ({ ...c, ...side }));
  }

  protected type(event: Event): void {
    this.problem.set(null);
    this.name.set((event.target as HTMLInputElement).value);
  }

  protected async keepProfile(event: Event, survey: string): Promise<void> {
    event.preventDefault();
    if (this.busy()) return;
    if (this.name().trim() === '') {
      this.problem.set('Type a name for the profile');
      return;
    }
    await this.attempt.run(async () => {
      await this.commands.keepProfile(survey, this.name().trim());
      this.said.set(`Saved: ${this.name().trim()}`);
      this.name.set('');
    });
  }

  private side(id: string | null): Side | null {
    return this.sides().find((s) => s.id === id) ?? null;
  }

  private row(d: Difference) {
    const text = (v: StateValue | null): string => (v ? stateText(d.target.quantity, v.value, this.unit()) : '—');
    const { differs } = d;
    const note = d.otherTension ? ' ◇ other strings or tuning' : '';
    return { title: stateTitle(d.target, this.names()), from: text(d.from), to: text(d.to), change: changeText(d, this.unit()), differs, note };
  }
}
