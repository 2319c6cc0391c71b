import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { typedElectric, type ElectricUnit } from '@rinnovo/core/part';
import { improbableValue, type ValueOf } from '@rinnovo/core/wire';
import { electricText, ELECTRIC_EXAMPLES, unusualText } from '@rinnovo/words';

/** A value of a circuit that is typed with k, M, n, p or none; what is not likely is asked about once. */
@Component({
  selector: 'rn-electric-field',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>{{ label() }}</mat-label>
      <input matInput autocomplete="off" [value]="text()" [attr.aria-invalid]="refused() !== null" (change)="take($event)" />
      @if (note(); as n) {
        <mat-hint>{{ n }}</mat-hint>
      }
    </mat-form-field>
    @if (refused(); as r) {
      <p class="problem" role="alert">
        {{ r }}
        @if (asked() !== null) {
          <button matButton type="button" (click)="keep()">Keep it</button>
        }
      </p>
    }
  `,
  styles: `
    mat-form-field {
      width: 100%;
    }
    p {
      margin: 0;
    }
  `,
})
export class ElectricField {
  readonly label = input.required<string>();
  readonly unit = input.required<ElectricUnit>();
  /** In the unit; null: not known. */
  readonly known = input.required<number | null>();
  readonly note = input('');
  readonly likely = input<ValueOf | null>(null);
  /** From and to, in the unit, where more cannot be at all. */
  readonly range = input<readonly [number, number] | null>(null);
  /** It may be left empty. */
  readonly optional = input(true);
  /** What is typed now; null: emptied. */
  readonly typed = output<number | null>();
  private readonly shown = computed(() => {
    const known = this.known();
    return known === null ? '' : electricText(known, this.unit());
  });
  protected readonly text = linkedSignal(() => this.shown());
  /** A value that is asked about before it is taken. */
  protected readonly asked = signal<number | null>(null);
  readonly refused = linkedSignal<string, string | null>({ source: this.shown, computation: () => null });

  protected take(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.text.set(text);
    this.asked.set(null);
    const read = typedElectric(this.unit(), text.replaceAll('\u202f', ' '));
    if (text === this.shown()) this.refused.set(null);
    else if (read.kind === 'wrong') this.refused.set(ELECTRIC_EXAMPLES[this.unit()]);
    else if (read.kind === 'empty') this.give(null);
    else this.give(read.value);
  }

  private give(value: number | null): void {
    if (value === null && !this.optional()) {
      this.refused.set('This value is needed.');
      return;
    }
    const question = value === null ? null : this.question(value);
    if (question !== null) {
      this.refused.set(question.text);
      this.asked.set(question.final ? null : value);
      return;
    }
    this.refused.set(null);
    this.typed.emit(value);
  }

  protected keep(): void {
    const value = this.asked();
    this.asked.set(null);
    this.refused.set(null);
    if (value !== null) this.typed.emit(value);
  }

  /** What speaks against a value: it cannot be at all, or it is not likely. */
  private question(value: number): { readonly text: string; readonly final: boolean } | null {
    const [unit, range, likely] = [this.unit(), this.range(), this.likely()];
    if (range && (value < range[0] || value > range[1]))
      return { text: `${electricText(value, unit)} is impossible: ${electricText(range[0], unit)} to ${electricText(range[1], unit)}.`, final: true };
    const odd = likely && improbableValue(likely, value);
    if (!odd) return null;
    return { text: unusualText(value, unit, odd.meant), final: false };
  }
}
