import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { people } from './resources';

/** What a person is called, by the id; as a signal, since the list may come later. */
export function personsName(): Signal<(id: string) => string> {
  const list = inject(Store).selectSignal(people.select);
  return computed(() => {
    const names = new Map((list().data ?? []).map((p) => [p.id, p.name]));
    return (id) => names.get(id) ?? 'unknown person';
  });
}
