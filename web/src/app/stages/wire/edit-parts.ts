import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import type { ContactTable, Part } from '@rinnovo/core/part';
import {
  elementIn,
  fieldsOf,
  kindsToAdd,
  likePart,
  marked,
  partKindsOf,
  rangeOf,
  rolesOf,
  tableOf,
  withChanged,
  withElement,
  withoutElement,
  withTable,
  type Circuit,
  type Element,
  type ElementField,
  type ElementKind,
  type Role,
  type ValueField,
} from '@rinnovo/core/wire';
import { elementName, fieldNote, fieldWord, optionWord, partToAddWord } from '@rinnovo/words';
import { selectNames, selectParts } from '../../state/selectors';
import { ContactFields } from '../../ui/contact-fields';
import { ElectricField } from '../../ui/electric-field';

/** The parts of a circuit with their values: added, taken from the shelf, stated by hand, removed. */
@Component({
  selector: 'rn-edit-parts',
  imports: [ContactFields, ElectricField, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './edit-parts.html',
  styleUrl: './guided.scss',
})
export class EditParts {
  readonly circuit = input.required<Circuit>();
  readonly traced = output<Circuit>();
  private readonly store = inject(Store);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly shelf = this.store.selectSignal(selectParts);

  protected readonly parts = computed(() => this.circuit().elements.map((e) => ({ id: e.id, name: elementName(e, this.names()) })));
  protected readonly chosen = linkedSignal<Circuit, string | null>({
    source: this.circuit,
    computation: (c, before) => (before?.value && elementIn(c, before.value) ? before.value : (c.elements[0]?.id ?? null)),
  });
  protected readonly element = computed(() => elementIn(this.circuit(), this.chosen() ?? ''));
  protected readonly fields = computed(() => {
    const e = this.element();
    return (e ? fieldsOf(e) : []).map((f) => ({
      key: `${e?.id ?? ''}/${f.of ?? ''}/${f.key}`,
      label: fieldWord(f),
      note: fieldNote(f),
      range: f.kind === 'value' ? rangeOf(f) : null,
      field: f,
    }));
  });
  /** Parts of the shelf that it can be. */
  protected readonly onShelf = computed((): readonly Part[] => {
    const kinds = this.element() ? partKindsOf(this.element() as Element) : [];
    return Object.values(this.shelf()).filter((p) => kinds.includes(p.kind));
  });
  protected readonly table = computed((): ContactTable | null => {
    const e = this.element();
    return e && tableOf(e);
  });
  /** What can be added, kind by kind and by what it does. */
  protected readonly more = computed(() =>
    kindsToAdd(this.circuit()).flatMap((kind) =>
      rolesOf(kind).map((does) => ({
        value: `${kind}/${does}`,
        kind,
        does,
        word: partToAddWord(kind, does),
      })),
    ),
  );
  protected readonly wanted = signal('pot/volume');
  protected readonly option = optionWord;

  protected add(): void {
    const what = this.more().find((m) => m.value === this.wanted());
    if (!what) return;
    const { circuit, added } = withElement(this.circuit(), what.kind satisfies ElementKind, what.does satisfies Role);
    this.traced.emit(circuit);
    this.chosen.set(added.id);
  }

  protected remove(): void {
    const e = this.element();
    if (e) this.traced.emit(withoutElement(this.circuit(), e.id));
  }

  protected put(e: Element): void {
    this.traced.emit(withChanged(this.circuit(), e));
  }

  protected take(part: string): void {
    const [e, found] = [this.element(), this.shelf()[part]];
    if (e && found) this.put(likePart(e, found));
    else if (e) this.put({ ...e, part: null });
  }

  protected call(event: Event): void {
    const e = this.element();
    const name = (event.target as HTMLInputElement).value.trim();
    if (e) this.put({ ...e, name: name === '' ? null : name });
  }

  /** A value as marked: off by what its kind usually is. What is metered goes on the test sheet. */
  protected state(field: ValueField, value: number | null): void {
    this.put(field.to(value === null ? null : marked(value, field.off)));
  }

  protected tell(field: Extract<ElementField, { kind: 'text' }>, event: Event): void {
    const text = (event.target as HTMLInputElement).value.trim();
    this.put(field.to(text === '' ? null : text));
  }

  protected contacts(table: ContactTable): void {
    const e = this.element();
    if (e) this.put(withTable(e, table));
  }
}
