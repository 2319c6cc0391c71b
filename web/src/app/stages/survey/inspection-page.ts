import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { targetKey, type StateId } from '@rinnovo/core/quantity';
import { inspectionOf, waitsFor, type Step } from '@rinnovo/core/survey';
import { ROUND_WORDS, STATE_WORDS } from '@rinnovo/words';
import { anatomy } from '../../state/resources';
import { selectSurvey, selectSurveyInView } from '../../state/selectors';
import { BeginSurvey } from './begin-survey';
import { SignedReadings } from './signed-readings';
import { StepGrid } from './step-grid';
import { SurveyHead } from './survey-head';
import { SurveyNav } from './survey-nav';

/** Led through the inspection in its order: rounds and steps of this instrument, resumed at the first that is not read. */
@Component({
  selector: 'rn-inspection-page',
  imports: [BeginSurvey, SignedReadings, StepGrid, SurveyHead, SurveyNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">Inspection</h1>
    <rn-survey-nav class="top" />
    <rn-survey-head class="top" />
    <section class="rail panel" aria-label="Steps of the inspection">
      <p class="head">
        <strong class="number">{{ done() }} / {{ all() }}</strong> steps read
      </p>
      @for (r of rounds(); track r.id) {
        <h2>{{ r.title }}</h2>
        <ul>
          @for (s of r.steps; track s.quantity) {
            <li>
              <button
                type="button"
                class="plain-row"
                [attr.aria-current]="open() === s.quantity ? 'step' : null"
                [attr.data-step]="s.quantity"
                (click)="open.set(s.quantity)"
              >
                <span class="sign" aria-hidden="true">{{ s.sign }}</span>
                <span class="what"
                  >{{ s.name }}<span class="visually-hidden">: {{ s.said }}</span></span
                >
                <span class="number soft">{{ s.count }}</span>
              </button>
            </li>
          }
        </ul>
      }
    </section>
    <section class="step panel" aria-label="Current step">
      @if (view() === null) {
        <p class="done">No survey yet. Start one: it collects every reading with the strings, the tuning and the person, until you sign it.</p>
        <rn-begin-survey [instrument]="instrument()" />
      } @else if (view()?.signed) {
        <rn-signed-readings [quantity]="open()" (all)="open.set(null)" />
      } @else if (step(); as s) {
        <p class="round">{{ roundSays() }}</p>
        <rn-step-grid [step]="s" [instrument]="instrument()" (kept)="next()" />
      } @else {
        <p class="done">Every step is complete. See Findings for the results, then sign the survey above.</p>
      }
    </section>
  `,
  styleUrl: './inspection-page.scss',
})
export class InspectionPage {
  /** The step that was asked for by a link. */
  readonly at = input<string>();
  private readonly store = inject(Store);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly instrument = computed(() => this.held().of ?? '');

  protected readonly view = this.store.selectSignal(selectSurveyInView);
  private readonly inspection = computed(() => {
    const s = this.survey();
    return s ? inspectionOf(s.surveyed) : [];
  });
  protected readonly rounds = computed(() =>
    this.inspection().map((r) => ({ id: r.id, title: ROUND_WORDS[r.id].title, steps: r.steps.map((s) => this.row(s)) })),
  );
  private readonly rows = computed(() => this.rounds().flatMap((r) => r.steps));
  protected readonly all = computed(() => this.rows().length);
  protected readonly done = computed(() => this.rows().filter((s) => s.settled).length);
  /** Where it was left: the first step of which nothing is read. */
  private readonly first = computed(() => this.rows().find((s) => !s.settled)?.quantity ?? null);
  private readonly asked = computed(() => this.rows().find((s) => s.quantity === this.at())?.quantity ?? null);
  private readonly here = computed(() =>
    this.survey() === null ? null : `${this.view()?.id ?? ''} ${this.view()?.signed ? 'signed' : ''} ${this.at() ?? ''}`,
  );
  protected readonly open = linkedSignal<string | null, StateId | null>({
    source: () => this.here(),
    computation: () => untracked(() => this.asked() ?? (this.view()?.signed ? null : this.first())),
  });
  protected readonly step = computed(
    (): Step | null =>
      this.inspection()
        .flatMap((r) => r.steps)
        .find((s) => s.quantity === this.open()) ?? null,
  );
  protected readonly roundSays = computed(() => {
    const round = this.inspection().find((r) => r.steps.some((s) => s.quantity === this.open()));
    return round ? ROUND_WORDS[round.id].say : '';
  });

  /** The step after this one in the order of the inspection; after the last one the first that was passed over. */
  protected next(): void {
    const order = this.rows().map((s) => s.quantity);
    const at = order.findIndex((q) => q === this.open());
    const passedOver = this.rows().find((s) => !s.settled && s.quantity !== this.open())?.quantity ?? null;
    this.open.set(order[at + 1] ?? passedOver);
  }

  private skippedAt(s: Step): number {
    const out = new Set((this.view()?.skipped ?? []).map((x) => targetKey(x.target)));
    return s.places.filter((p) => out.has(targetKey(p))).length;
  }

  private row(s: Step) {
    const survey = this.survey();
    const read = survey?.of(s.quantity) ?? [];
    const wrong = read.some((t) => t.standing === 'low' || t.standing === 'high');
    const skipped = this.skippedAt(s);
    const waits = survey ? waitsFor(s.quantity, survey) !== null : false;
    const [sign, said] =
      read.length === 0
        ? skipped > 0
          ? ['⊘', 'cannot be measured']
          : ['○', 'not read']
        : waits
          ? ['◇', 'not judged yet']
          : wrong
            ? ['✕', 'outside target']
            : ['●', 'within target'];
    return {
      quantity: s.quantity,
      name: STATE_WORDS[s.quantity].name,
      /** Something of it is read, or it cannot be. */
      settled: read.length > 0 || skipped === s.places.length,
      sign,
      said,
      count: s.places.length > 1 ? `${read.length}/${s.places.length}` : '',
    };
  }
}
