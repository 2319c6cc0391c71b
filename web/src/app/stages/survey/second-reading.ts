import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { Store } from '@ngrx/store';
import type { MeasuringTool } from '@rinnovo/core/part';
import { isState, QUANTITIES, type AnyTarget, type StateTarget, type Target } from '@rinnovo/core/quantity';
import { typedState } from '@rinnovo/core/survey';
import { typedProblem } from '@rinnovo/words';
import { problemOf } from '../../api/problem-of';
import { Commands, type Coarser } from '../../state/commands';
import { viewFeature } from '../../state/view.feature';
import { CoarserLimit, coarserProblem } from '../../ui/coarser-limit';
import { LengthField } from '../../ui/length-field';
import { attempt } from '../../ui/attempt';

export interface BlindData {
  readonly instrument: string;
  readonly target: AnyTarget;
  readonly title: string;
  /** Of the shop for a dimension; a state has its own. */
  readonly tool: MeasuringTool | { readonly id: string; readonly name: string };
}

/** A second reading that cannot see the first: first the tool is zeroed, then the value is typed. */
@Component({
  selector: 'rn-second-reading',
  imports: [MatButtonModule, MatCheckboxModule, CoarserLimit, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">The first value stays hidden until you save this one. Lift the tool off, zero it, then measure afresh.</p>
    <div class="row">
      <mat-checkbox [checked]="session() !== null" [disabled]="session() !== null || busy()" (change)="begin()">{{ data().tool.name }} is zeroed</mat-checkbox>
      @if (session() !== null) {
        @if (range(); as r) {
          <rn-length-field label="Second reading" [(text)]="text" [min]="r.min" [max]="r.max" [refusal]="refusal()" (entered)="keep()" />
          <rn-coarser-limit [(coarser)]="coarser" />
        } @else {
          <label class="state">
            Second reading
            <input autocomplete="off" [value]="text()" [attr.aria-invalid]="refusal() !== null" (input)="type($event)" (keydown.enter)="keep()" />
          </label>
          @if (refusal(); as why) {
            <p class="problem" role="alert">{{ why }}</p>
          }
        }
      }
    </div>
    @if (problem(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
    @if (other() !== null) {
      <form (submit)="endOther($event)" novalidate>
        <label class="state">Why it is ended<input maxlength="200" autocomplete="off" [value]="reason()" (input)="typeReason($event)" /></label>
        <button matButton="outlined" type="submit" [disabled]="busy()">End the other reading</button>
      </form>
    }
    <p class="acts">
      <button matButton="filled" type="button" [disabled]="session() === null || busy()" (click)="keep()">Save second reading</button>
      <button matButton type="button" (click)="leave()">Cancel</button>
    </p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    .row,
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
    }
    .state {
      display: grid;
      gap: 0.3rem;
      max-width: 24rem;
    }
    input {
      min-height: 48px;
      padding: 0 0.75rem;
      font-size: 1.1rem;
    }
    rn-length-field {
      flex: 1 1 10rem;
      max-width: 24rem;
    }
  `,
})
export class SecondReading {
  readonly data = input.required<BlindData>();
  /** What the two say of one another, or null where it was left. */
  readonly left = output<string | null>();
  private readonly commands = inject(Commands);
  private readonly field = viewChild(LengthField);
  protected readonly session = signal<string | null>(null);
  protected readonly text = signal('');
  protected readonly coarser = signal<Coarser | null>(null);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly refusal = signal<string | null>(null);
  protected readonly problem = this.attempt.problem;
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly range = computed(() => {
    const { target } = this.data();
    return isState(target) ? null : QUANTITIES[target.quantity];
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // the hand goes on: to the tool that is to be zeroed, then to the value
    afterRenderEffect(() => {
      const field = this.session() === null ? 'mat-checkbox input' : 'rn-length-field input, .state input';
      host.querySelector<HTMLElement>(field)?.focus();
    });
  }

  protected type(event: Event): void {
    this.refusal.set(null);
    this.text.set((event.target as HTMLInputElement).value);
  }

  /** The session in which somebody else reads the same blind. */
  protected readonly other = signal<string | null>(null);
  protected readonly reason = signal('');

  protected async begin(): Promise<void> {
    this.other.set(null);
    await this.attempt.run(async () => {
      try {
        this.session.set(await this.commands.beginBlind(this.data().instrument, this.data().target, this.data().tool.id));
      } catch (error) {
        const { type, current } = problemOf(error);
        if (type === '/problems/already-there') this.other.set((current as { readonly id?: string } | undefined)?.id ?? null);
        throw error;
      }
    });
  }

  protected typeReason(event: Event): void {
    this.reason.set((event.target as HTMLInputElement).value);
  }

  protected async endOther(event: Event): Promise<void> {
    event.preventDefault();
    const [other, reason] = [this.other(), this.reason().trim()];
    if (other === null) return;
    if (reason === '') this.problem.set('Type why it is ended.');
    else if (await this.attempt.run(() => this.commands.endBlind(this.data().instrument, other, reason))) await this.begin();
  }

  protected keep(): Promise<void> {
    const { target } = this.data();
    return isState(target) ? this.keepState(target) : this.keepDimension(target);
  }

  private async keepState(target: StateTarget): Promise<void> {
    const typed = typedState(target.quantity, this.text(), this.unit());
    if (this.busy()) return;
    if (typed.kind !== 'value') {
      this.refusal.set(typedProblem(target.quantity, typed, this.unit()) ?? `Type the reading`);
      return;
    }
    await this.attempt.run(async () => {
      const one = { target, value: typed.value, raw: this.text().trim().slice(0, 80) };
      await this.commands.takeStates(this.data().instrument, [one], () => undefined, this.session());
      this.left.emit('kept');
    });
  }

  private async keepDimension(target: Target): Promise<void> {
    const { tool } = this.data();
    const value = this.field()?.value() ?? null;
    if (value === null) {
      this.refusal.set('Type the reading');
      return;
    }
    const unsaid = coarserProblem(this.coarser());
    if (unsaid) {
      this.problem.set(unsaid);
      return;
    }
    if (!('limit' in tool)) throw new TypeError('a dimension is read with a tool of the shop');
    await this.attempt.run(async () => {
      const typed = { value, raw: this.text().trim(), tool, coarser: this.coarser() };
      this.left.emit(await this.commands.takeReading(this.data().instrument, target, typed, this.session()));
    });
  }

  protected async leave(): Promise<void> {
    const session = this.session();
    if (session !== null) await this.attempt.run(() => this.commands.endBlind(this.data().instrument, session));
    this.left.emit(null);
  }
}
