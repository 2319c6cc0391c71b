import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, viewChildren } from '@angular/core';
import { Store } from '@ngrx/store';
import { isMeasured, parseLength, type Dimension, type LengthUnit } from '@rinnovo/core/measure';
import { limitText, partBasisText } from '@rinnovo/words';
import { personsName } from '../../state/persons-name';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { same } from '../../ui/same';
import { knownBy, type Way } from './known-by';

/** A size that can be typed: what it is called, what can be, what is known of it. */
export interface SizeField {
  readonly key: string;
  readonly label: string;
  readonly range: readonly [number, number];
  readonly known: Dimension | null;
  /** It may be left empty. */
  readonly optional: boolean;
}

/** Sizes with how each is known; what is typed anew is known by the way that was chosen for it. */
@Component({
  selector: 'rn-size-fields',
  imports: [LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (f of rows(); track f.key) {
      <rn-length-field
        [label]="f.label"
        [text]="texts()[f.key] ?? ''"
        (textChange)="set(f.key, $event)"
        [min]="f.range[0]"
        [max]="f.range[1]"
        [note]="f.note"
        [refusal]="refusals()[f.key] ?? null"
        [attr.data-size]="f.key"
        [class.typical]="f.typical"
      />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
      gap: 0 0.75rem;
    }
    .typical {
      --mat-form-field-filled-input-text-color: var(--rn-ink-soft);
    }
  `,
})
export class SizeFields {
  readonly fields = input.required<readonly SizeField[]>();
  readonly part = input.required<string>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly inputs = viewChildren(LengthField);
  private readonly personOf = personsName();
  protected readonly rows = computed(() =>
    this.fields().map((f) => ({
      ...f,
      typical: f.known?.basis.kind === 'default',
      note: f.known ? `±${limitText(f.known.limit, this.unit())}, ${partBasisText(f.known.basis, this.personOf())}` : 'unknown',
    })),
  );
  private readonly shown = computed(() => Object.fromEntries(this.fields().map((f) => [f.key, f.known ? fieldText(f.known.value, this.unit()) : ''])), {
    equal: same,
  });
  /** As they stand; what was typed stays typed when the unit changes, in the new one. */
  protected readonly texts = linkedSignal<Shown, Readonly<Record<string, string>>>({
    source: () => ({ unit: this.unit(), of: this.shown() }),
    computation: (now, before) =>
      before && before.source.unit !== now.unit ? inUnit(typedOf(before.value, before.source.of), before.source.unit, now) : now.of,
  });
  /** What was typed anew. */
  readonly typed = computed(() => typedOf(this.texts(), this.shown()), { equal: same });
  /** Fields that were typed into: a typical value that is typed again as it stood was measured now. */
  private readonly touched = linkedSignal<ReadonlySet<string>>(() => {
    this.shown();
    return new Set();
  });
  /** Fields that were left empty and may not be. */
  protected readonly refusals = linkedSignal<Readonly<Record<string, string>>>(() => {
    this.shown();
    return {};
  });

  /** Texts that were typed before are there again, in whatever unit that was. */
  restore(texts: Readonly<Record<string, string>>, unit: LengthUnit): void {
    this.texts.set(inUnit(texts, unit, { unit: this.unit(), of: this.shown() }));
  }

  protected set(key: string, text: string): void {
    this.touched.update((t) => new Set([...t, key]));
    this.texts.update((t) => ({ ...t, [key]: text }));
  }

  /** What was stated anew: a dimension, or null for one that was emptied; null as a whole while something typed cannot be. */
  given(way: Way): Readonly<Record<string, Dimension | null>> | null {
    const out: Record<string, Dimension | null> = {};
    const empty: Record<string, string> = {};
    let good = true;
    for (const [i, f] of this.fields().entries()) {
      const text = (this.texts()[f.key] ?? '').trim();
      const again = this.touched().has(f.key) && f.known !== null && !isMeasured(f.known);
      if (text === (this.shown()[f.key] ?? '') && !again) continue;
      const value = this.inputs()[i]?.value() ?? null;
      if (text === '' && f.optional) out[f.key] = null;
      else if (text === '') empty[f.key] = 'This kind of part needs this size';
      else if (value === null) good = false;
      else out[f.key] = knownBy(way, value, this.part());
    }
    this.refusals.set(empty);
    return good && Object.keys(empty).length === 0 ? out : null;
  }
}

/** What is known, as the fields show it in a unit. */
interface Shown {
  readonly unit: LengthUnit;
  readonly of: Readonly<Record<string, string>>;
}

function typedOf(texts: Readonly<Record<string, string>>, shown: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  return Object.fromEntries(Object.entries(texts).filter(([key, text]) => text !== (shown[key] ?? '')));
}

/** Typed texts over what is shown; a length that can be read is stated in the unit of now, another stays as it was typed. */
function inUnit(typed: Readonly<Record<string, string>>, then: LengthUnit, now: Shown): Readonly<Record<string, string>> {
  const given = Object.entries(typed).map(([key, text]) => {
    const length = then === now.unit ? null : parseLength(text, then);
    return [key, length?.ok ? fieldText(length.mm, now.unit) : text] as const;
  });
  return { ...now.of, ...Object.fromEntries(given) };
}
