import { asksFlaw, CAUSES, mishapsAt, SIDES, takesWood, type CauseId, type MishapId, type Side, type WayOnId, type Wrong } from '@rinnovo/core/job';
import { consequenceOf, levelsCut } from '@rinnovo/core/house';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal, viewChild } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { depthReached } from '@rinnovo/core/gate';
import type { MeasuringTool } from '@rinnovo/core/part';
import { type Mishap } from '@rinnovo/core/record';
import { area } from '@rinnovo/core/shape';
import { CAUSE_WORDS, MISHAP_WORDS, SIDE_WORDS, verdictSentence, WAY_ON_WORDS } from '@rinnovo/words';
import type { Typed } from '../../state/commands';
import { resultsFeature } from '../../state/results.feature';
import { selectChoice, selectNames, selectPlanState } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { standing } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';

/** What went wrong, as it is logged. */
export interface MishapReport {
  readonly wrong: Wrong;
  readonly note: string;
  readonly measured: Typed | null;
}

const FAR: Readonly<Partial<Record<MishapId, string>>> = {
  slipped: 'Distance beyond the line',
  tornOut: 'Distance beyond the line',
  chipped: 'Length of the chip',
  wandered: 'Distance off the mark',
  finishLifted: 'Size of the lifted spot',
};

/** What went wrong, and what now: the new depth, or the wood that is gone, is judged before it is logged. */
@Component({
  selector: 'rn-went-wrong',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatRadioModule, MatSelectModule, LengthField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './went-wrong.html',
  styles: `
    form {
      display: grid;
      gap: 0.5rem;
      padding: 0.75rem;
      border: 2px solid var(--rn-danger);
      border-radius: 6px;
    }
    h3 {
      margin: 0;
    }
    mat-radio-group {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
      gap: 0 1rem;
    }
    .far,
    .lesson {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
      gap: 0.75rem;
      align-items: start;
    }
    .lesson {
      grid-template-columns: 1fr 2fr;
    }
  `,
})
export class WentWrong {
  readonly tools = input.required<readonly MeasuringTool[]>();
  readonly asksDepth = input(false);
  readonly logged = output<MishapReport>();
  readonly cancelled = output();
  private readonly store = inject(Store);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly choice = this.store.selectSignal(selectChoice);
  private readonly bench = this.store.selectSignal(resultsFeature.selectBench);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly field = viewChild(LengthField);
  protected readonly mishapWords = MISHAP_WORDS;
  protected readonly sideWords = SIDE_WORDS;
  protected readonly causeWords = CAUSE_WORDS;
  protected readonly wayWords = WAY_ON_WORDS;
  protected readonly sides = SIDES;
  protected readonly causes = CAUSES;

  protected readonly form = new FormGroup({
    /** Depth, way beyond the line or length of what is hurt, mm. */
    size: new FormControl<number | null>(null),
    side: new FormControl<Side | null>(null),
    cause: new FormControl<CauseId | null>(null),
    note: new FormControl('', { nonNullable: true }),
    lesson: new FormControl('', { nonNullable: true }),
  });
  private readonly is = standing(this.form);
  protected readonly refusal = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);
  /** What can go wrong at the step of now. */
  protected readonly kinds = computed(() => {
    const b = this.bench()?.result;
    return mishapsAt(b?.cards[b.now]?.kind ?? '', this.asksDepth());
  });
  protected readonly chosenKind = signal<MishapId | null>(null);
  protected readonly kind = computed((): MishapId => this.chosenKind() ?? this.kinds().find((k) => k === 'slipped') ?? 'other');
  protected readonly farLabel = computed(() => FAR[this.kind()] ?? null);
  /** What the choice behind the step cuts, the largest first. */
  private readonly levels = computed(() => {
    const state = this.state();
    const choice = this.choice();
    if (!state || !choice) return [];
    return [...levelsCut(state, choice)]
      .sort((p, q) => area(q.level.outline.outline) - area(p.level.outline.outline))
      .filter(({ level }) => !level.bored)
      .map(({ level }) => level.id);
  });
  /** The same where the mishap takes wood from one of them. */
  protected readonly cutting = computed(() => (takesWood(this.kind()) ? this.levels() : []));
  protected readonly chosen = signal<string | null>(null);
  protected readonly level = computed(() => this.cutting().find((p) => p === this.chosen()) ?? this.cutting()[0] ?? null);

  /** The mishap with its number, once that is typed. */
  private readonly mishap = computed((): Mishap | null => {
    const kind = this.kind();
    const { size: value, side } = this.is();
    const b = this.bench()?.result;
    if (kind !== 'tooDeep' && !asksFlaw(kind)) return { kind };
    if (value === null || !b) return null;
    if (kind === 'chipped' || kind === 'wandered' || kind === 'finishLifted') return { kind, by: value };
    const asks = b.cards[b.now]?.asks;
    if (kind === 'tooDeep') return asks?.what === 'depth' && asks.target.part !== undefined ? { kind, level: asks.target.part, depth: value } : null;
    const [level, depth] = [this.level(), depthReached(b.cards, b.now)];
    return level !== null && side !== null && depth > 0 ? { kind, level, side, by: value, depth } : null;
  });
  private readonly consequence = computed(() => {
    const state = this.state();
    const choice = this.choice();
    const mishap = this.mishap();
    return state && choice && mishap ? consequenceOf(state, choice, mishap) : null;
  });
  /** What the mishap makes worse, with its numbers. */
  protected readonly trouble = computed(() => (this.consequence()?.trouble ?? []).map((v) => verdictSentence(v, this.names(), this.unit())));
  /** The ways on that the number leaves. */
  protected readonly ways = computed((): readonly WayOnId[] => (this.consequence()?.waysOn ?? []).filter((w) => w.possible).map((w) => w.id));
  /** The way that is taken; none while it is not among those that are left. */
  protected readonly way = linkedSignal<readonly WayOnId[], WayOnId | null>({
    source: this.ways,
    computation: (ways, previous) => ways.find((w) => w === previous?.value) ?? null,
  });

  protected choose(kind: MishapId): void {
    this.chosenKind.set(kind);
    this.refusal.set(null);
    this.problem.set(null);
  }

  protected log(): void {
    const kind = this.kind();
    const tool = this.tools().find((t) => t.kind === 'depth gauge') ?? this.tools()[0];
    const { size: value, side, cause, ...typed } = this.form.getRawValue();
    const [note, lesson] = [typed.note.trim(), typed.lesson.trim()];
    const raw = this.field()?.text().trim() ?? '';
    this.refusal.set(null);
    this.problem.set(null);
    if (kind === 'tooDeep' && (value === null || !tool)) return this.refusal.set('Type the depth');
    if (kind in FAR && value === null) return this.refusal.set('Type the distance');
    if (this.cutting().length > 0 && side === null) return this.problem.set('Choose the direction.');
    if (note === '') return this.problem.set('Type what happened. The next job learns from it.');
    const measured = kind === 'tooDeep' && value !== null && tool ? { value, raw, tool } : null;
    const flaw = kind in FAR && value !== null ? { by: value, level: this.level(), side: this.cutting().length > 0 ? side : null } : null;
    const wrong: Wrong = { mishap: kind, flaw, cause, way: this.way(), lesson };
    this.logged.emit({ wrong, note, measured });
  }
}
