import { effect, untracked, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormRecord, type FormGroup } from '@angular/forms';
import { map, type Observable } from 'rxjs';
import type { NumberField } from './number-fields';
import { same } from './same';

/** What stands in a form now, as a signal. */
export function standing<V>(form: { readonly valueChanges: Observable<unknown>; readonly getRawValue: () => V }): Signal<V> {
  return toSignal(form.valueChanges.pipe(map(() => form.getRawValue())), { initialValue: form.getRawValue() });
}

/**
 * Fills a form from what is kept, field by field, and again only where what is kept says something else than before:
 * a document that comes back the same leaves what is being typed alone.
 */
export function filledFrom<G extends FormGroup>(form: G, kept: () => Partial<ReturnType<G['getRawValue']>>): void {
  let before: Readonly<Record<string, unknown>> = {};
  effect(() => {
    const now: Readonly<Record<string, unknown>> = kept();
    untracked(() => {
      for (const [key, value] of Object.entries(now)) if (!(key in before) || !same(value, before[key])) form.get(key)?.setValue(value);
      before = now;
    });
  });
}

/** Lengths by their keys, mm; null: nothing is typed. */
export type Lengths = FormRecord<FormControl<number | null>>;

/** A control for each of some fields that come and go, filled from what is kept of it as a form is. */
export function lengthsOf(fields: () => readonly NumberField[]): Lengths {
  const record: Lengths = new FormRecord<FormControl<number | null>>({});
  let before = new Map<string, number | null>();
  effect(() => {
    const now = new Map(fields().map((f) => [f.key, Number.isFinite(f.value) ? f.value : null]));
    untracked(() => {
      for (const key of before.keys()) if (!now.has(key)) record.removeControl(key);
      for (const [key, value] of now) {
        const control = record.controls[key];
        if (!control) record.addControl(key, new FormControl(value));
        else if (before.get(key) !== value) control.setValue(value);
      }
      before = now;
    });
  });
  return record;
}

/** The lengths that stand in a record, none of them empty; null while one is, or is no length that can be. */
export function wholeLengths(record: Lengths): ReadonlyMap<string, number> | null {
  const typed = Object.entries(record.getRawValue());
  return record.invalid || typed.some(([, mm]) => mm === null) ? null : new Map(typed.map(([key, mm]) => [key, mm ?? 0]));
}
