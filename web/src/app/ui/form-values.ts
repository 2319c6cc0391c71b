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

/** Nobody else's form than one's own. */
const ONE = (): string => '';

/**
 * Fills a form from what is kept, field by field, and again only where what is kept says something else than before:
 * a document that comes back the same leaves what is being typed alone. What belongs to something else (`of`) is filled anew.
 */
export function filledFrom<G extends FormGroup>(form: G, kept: () => Partial<ReturnType<G['getRawValue']>>, of: () => string = ONE): void {
  let before: { readonly of: string; readonly kept: Readonly<Record<string, unknown>> } = { of: '', kept: {} };
  effect(() => {
    const now = { of: of(), kept: kept() as Readonly<Record<string, unknown>> };
    untracked(() => {
      const known = now.of === before.of ? before.kept : {};
      for (const [key, value] of Object.entries(now.kept)) if (!(key in known) || !same(value, known[key])) form.get(key)?.setValue(value);
      before = now;
    });
  });
}

/** Lengths by their keys, mm; null: nothing is typed. */
export type Lengths = FormRecord<FormControl<number | null>>;

/** A control for each of some fields that come and go, filled from what is kept of it as a form is. */
export function lengthsOf(fields: () => readonly NumberField[], of: () => string = ONE): Lengths {
  const record: Lengths = new FormRecord<FormControl<number | null>>({});
  let before = { of: '', kept: new Map<string, number | null>() };
  effect(() => {
    const now = { of: of(), kept: new Map(fields().map((f) => [f.key, Number.isFinite(f.value) ? f.value : null])) };
    untracked(() => {
      for (const key of before.kept.keys()) if (!now.kept.has(key)) record.removeControl(key);
      for (const [key, value] of now.kept) {
        const control = record.controls[key];
        if (!control) record.addControl(key, new FormControl(value));
        else if (now.of !== before.of || before.kept.get(key) !== value) control.setValue(value);
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
