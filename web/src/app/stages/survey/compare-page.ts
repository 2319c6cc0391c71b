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

/** What lies along a chart's first axis. */
const AXIS: Readonly<Record<string, string>> = { string: 'String', fret: 'Fret', edge: 'Fret', pickup: 'Pickup' };

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
  templateUrl: './compare-page.html',
  styleUrl: './compare-page.scss',
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
      along: AXIS[STATES[c.quantity].of] ?? 'Place',
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
