import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  forwardRef,
  inject,
  input,
  model,
  output,
  signal,
  untracked,
} from '@angular/core';
import { NG_VALIDATORS, NG_VALUE_ACCESSOR, type ControlValueAccessor, type ValidationErrors, type Validator } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { likelyUnit, parseLength, unitWord, type LengthError } from '@rinnovo/core/measure';
import { asTyped, lengthText, otherLengthText } from '@rinnovo/words';
import { viewFeature } from '../state/view.feature';

const ERRORS: Readonly<Record<LengthError, string>> = {
  empty: 'Type a length',
  'not a length': 'Not a length. Try 22.2, 7/8, 1 3/32, .875in or a sum.',
  'division by zero': 'The fraction divides by zero',
  'too long': 'Too many characters for a length',
  'not finite': 'Not a possible length',
};

/** A length as it is typed: any unit, sums, a decimal comma; the other unit beside it; what cannot be is said below it. In a form its value is mm, null while it is empty. */
@Component({
  selector: 'rn-length-field',
  imports: [MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (compact()) {
      <span class="row">
        <input
          inputmode="text"
          autocomplete="off"
          [attr.aria-label]="label()"
          [value]="text()"
          (input)="type($event)"
          (keydown.enter)="entered.emit()"
          [aria-describedby]="id + '-said'"
          [id]="id"
        />
        <span class="unit">{{ unitWord() }}</span>
      </span>
    } @else {
      <mat-form-field subscriptSizing="dynamic" floatLabel="always">
        <mat-label>{{ label() }}</mat-label>
        <input
          matInput
          inputmode="text"
          autocomplete="off"
          [placeholder]="typical()"
          [value]="text()"
          (input)="type($event)"
          (keydown.enter)="entered.emit()"
          [aria-describedby]="id + '-said'"
          [id]="id"
        />
        @if (metric()) {
          <button
            matTextSuffix
            type="button"
            tabindex="-1"
            class="unit tap"
            aria-label="Show inches"
            [attr.aria-pressed]="tapped()"
            (click)="tapped.set(!tapped())"
          >
            {{ unitWord() }}
          </button>
        } @else {
          <span matTextSuffix class="unit">{{ unitWord() }}</span>
        }
      </mat-form-field>
    }
    <p class="said" [id]="id + '-said'" [class.problem]="error() !== null" [attr.role]="error() ? 'alert' : null">{{ error() ?? other() }}</p>
  `,
  providers: [
    { provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => LengthField), multi: true },
    { provide: NG_VALIDATORS, useExisting: forwardRef(() => LengthField), multi: true },
  ],
  host: { '[class.compact]': 'compact()' },
  styles: `
    :host {
      display: block;
    }
    :host.compact {
      display: flex;
      align-items: center;
      gap: 0.6rem;
      white-space: nowrap;
    }
    .row input {
      width: 6rem;
      margin-inline-end: 0.3rem;
    }
    :host.compact .said {
      margin: 0;
    }
    mat-form-field {
      width: 100%;
    }
    .said {
      min-height: 1.3em;
      padding-inline: 0.25rem;
      font-size: 0.875rem;
      color: var(--rn-ink-soft);
    }
    .said.problem {
      color: var(--rn-danger);
    }
    .unit {
      color: var(--rn-ink-soft);
    }
    .tap {
      min-width: 44px;
      min-height: 32px;
      border: 0;
      background: none;
      font: inherit;
      cursor: pointer;
    }
  `,
})
export class LengthField implements ControlValueAccessor, Validator {
  readonly label = input.required<string>();
  /** In a table: one line high, its label is only heard. */
  readonly compact = input(false);
  /** What stands in the field. */
  readonly text = model('');
  /** Smallest and largest value that can be, mm. */
  readonly min = input(-Infinity);
  readonly max = input(Infinity);
  /** Something that whoever uses the field found wrong with it. */
  readonly refusal = input<string | null>(null);
  /** What else is to be known of the value, beside the other unit. */
  readonly note = input('');
  /** What stands faintly in the field while nothing is typed. */
  readonly typical = input('');
  readonly entered = output();

  protected readonly id = `length-${nextId()}`;
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly parsed = computed(() => parseLength(this.text(), this.unit()));
  /** mm, or null while what stands there is no length that can be. */
  readonly value = computed(() => {
    const p = this.parsed();
    return p.ok && p.mm >= this.min() && p.mm <= this.max() ? p.mm : null;
  });
  protected readonly unitWord = computed(() => unitWord(this.unit()));
  protected readonly metric = computed(() => this.unit() === 'mm');
  /** Millimetres stand alone until somebody asks for the inch. */
  protected readonly tapped = signal(false);
  /** What stands there in the unit that it is not typed in: of a sum or a fraction in millimetres too. */
  private readonly equals = computed(() => {
    const p = this.parsed();
    if (!p.ok) return '';
    if (!this.metric() || this.tapped()) return `= ${otherLengthText(p.mm, this.unit())}`;
    return PLAIN.test(this.text().trim()) ? '' : `= ${lengthText(p.mm, this.unit())}`;
  });
  protected readonly other = computed(() => {
    const p = this.parsed();
    return [this.equals(), p.ok && p.subtracts ? 'one subtracted from the other' : '', this.note()].filter(Boolean).join(', ');
  });
  protected readonly error = computed(() => {
    const p = this.parsed();
    if (!p.ok) return p.error === 'empty' ? (this.refusal() ?? null) : ERRORS[p.error];
    if (p.mm < this.min() || p.mm > this.max()) return this.outOfRange(p.mm);
    return this.refusal();
  });

  constructor() {
    // in a form the length stands, not its text: it is the same length in the unit that is chosen next
    let unit = this.unit();
    effect(() => {
      const now = this.unit();
      untracked(() => {
        if (now !== unit && this.held !== null) this.text.set(asTyped(this.held, now));
        unit = now;
      });
    });
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterRenderEffect(() => {
      const input = host.querySelector('input');
      const text = this.text();
      // typed and emptied again between two renderings the bound value never changed: what stands there is put right here
      if (input && input.value !== text) input.value = text;
      // Material's input owns aria-invalid by a form control's state; here the parser's word counts
      input?.setAttribute('aria-invalid', String(this.error() !== null));
    });
  }

  /** Says what can be, and the unit that was probably meant. */
  private outOfRange(mm: number): string {
    const [min, max] = [this.min(), this.max()];
    const typed = this.text().trim();
    const meant = /^[\d.,]+$/.test(typed) ? likelyUnit(mm, { min, max }, this.unit()) : null;
    const hint = meant === null ? '' : ` Did you mean ${typed}${meant}?`;
    return `${lengthText(mm, this.unit())} is out of range: ${lengthText(min, this.unit())} to ${lengthText(max, this.unit())}.${hint}`;
  }

  private changed: (mm: number | null) => void = () => undefined;
  /** The length that a form holds here, mm. */
  private held: number | null = null;

  writeValue(mm: number | null): void {
    this.held = mm;
    this.text.set(mm === null ? '' : asTyped(mm, this.unit()));
  }

  registerOnChange(changed: (mm: number | null) => void): void {
    this.changed = (mm) => {
      this.held = mm;
      changed(mm);
    };
  }

  registerOnTouched(): void {
    // what is wrong is said as soon as it is typed
  }

  validate(): ValidationErrors | null {
    return this.text().trim() !== '' && this.value() === null ? { length: true } : null;
  }

  protected type(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.changed(this.value());
  }
}

/** A number in the unit of the field. */
const PLAIN = /^-?[\d.,]+(?:\s*mm)?$/;

let ids = 0;
function nextId(): number {
  ids += 1;
  return ids;
}
