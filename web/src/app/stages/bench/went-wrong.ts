import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { Store } from '@ngrx/store';
import type { MeasuringTool } from '@rinnovo/core/part';
import { consequenceOf } from '@rinnovo/core/record';
import { WAY_ON_WORDS } from '@rinnovo/words';
import type { Typed } from '../../state/commands';
import { resultsFeature } from '../../state/results.feature';
import { selectPickupChoice, selectPlanState } from '../../state/selectors';
import { LengthField } from '../../ui/length-field';

/** What went wrong, as it is logged. */
export interface Mishap {
  readonly kind: 'tooDeep' | 'slipped' | 'other';
  readonly note: string;
  readonly measured: Typed | null;
}

/** What went wrong, and what now: the new depth is judged before it is logged. */
@Component({
  selector: 'rn-went-wrong',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatRadioModule, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="log($event)">
      <h2>What went wrong?</h2>
      <mat-radio-group [value]="kind()" (change)="kind.set($event.value)" aria-label="What went wrong">
        @if (asksDepth()) {
          <mat-radio-button value="tooDeep">Deeper than planned</mat-radio-button>
        }
        <mat-radio-button value="slipped">The tool slipped or the wood tore</mat-radio-button>
        <mat-radio-button value="other">Something else</mat-radio-button>
      </mat-radio-group>
      @if (kind() === 'tooDeep') {
        <rn-length-field label="How deep it is" [(text)]="text" [min]="0.1" [max]="200" [refusal]="refusal()" />
      }
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>What happened, for the record</mat-label>
        <input matInput maxlength="1000" [value]="note()" (input)="type($event)" />
      </mat-form-field>
      @if (ways().length > 0) {
        <h3>What now</h3>
        <ul>
          @for (w of ways(); track w) {
            <li>{{ w }}</li>
          }
        </ul>
      }
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
      <p>
        <button matButton="filled" type="submit">Log it</button>
        <button matButton type="button" (click)="cancelled.emit()">Back to the step</button>
      </p>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.5rem;
      padding: 0.75rem;
      border: 2px solid var(--rn-danger);
      border-radius: 6px;
    }
    mat-radio-group {
      display: flex;
      gap: 1rem;
    }
  `,
})
export class WentWrong {
  readonly tools = input.required<readonly MeasuringTool[]>();
  readonly asksDepth = input(false);
  readonly logged = output<Mishap>();
  readonly cancelled = output();
  private readonly store = inject(Store);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly plan = this.store.selectSignal(selectPickupChoice);
  private readonly bench = this.store.selectSignal(resultsFeature.selectBench);
  private readonly field = viewChild(LengthField);
  protected readonly kind = signal<Mishap['kind']>('slipped');
  protected readonly text = signal('');
  protected readonly note = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);

  /** The ways on for the depth that stands in the field. */
  protected readonly ways = computed(() => {
    const state = this.state();
    const plan = this.plan();
    const b = this.bench()?.result;
    const pocket = b?.cards[b.now]?.asks?.target.part;
    const depth = this.kind() === 'tooDeep' ? (this.field()?.value() ?? null) : null;
    if (!state || !plan || pocket === undefined || depth === null) return [];
    return consequenceOf(state, plan, { kind: 'tooDeep', pocket, depth })
      .waysOn.filter((w) => w.possible)
      .map((w) => WAY_ON_WORDS[w.id]);
  });

  protected type(event: Event): void {
    this.note.set((event.target as HTMLInputElement).value);
  }

  protected log(event: Event): void {
    event.preventDefault();
    const tool = this.tools().find((t) => t.kind === 'depth gauge') ?? this.tools()[0];
    const value = this.field()?.value() ?? null;
    if (this.kind() === 'tooDeep' && (value === null || !tool)) {
      this.refusal.set('Say how deep it is');
      return;
    }
    if (this.note().trim() === '') {
      this.problem.set('Write what happened: it is what the next job learns from.');
      return;
    }
    const measured = this.kind() === 'tooDeep' && value !== null && tool ? { value, raw: this.text().trim(), tool } : null;
    this.logged.emit({ kind: this.kind(), note: this.note().trim(), measured });
  }
}
