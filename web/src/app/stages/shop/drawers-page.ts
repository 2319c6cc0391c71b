import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { stockItem, type KeptStock } from '@rinnovo/contract';
import type { StockItem } from '@rinnovo/core/part';
import { nameOf, namesOf } from '@rinnovo/words';
import { ShelfCommands } from '../../state/shelf-commands';
import { stock } from '../../state/resources';
import { selectParts } from '../../state/selectors';
import { attempt } from '../../ui/attempt';
import { LengthField } from '../../ui/length-field';
import { UsedInList } from '../../ui/used-in';

const FIELDS: Readonly<Record<'offcut' | 'dowel' | 'material', readonly string[]>> = {
  offcut: ['wood', 'length', 'width', 'thickness'],
  dowel: ['wood', 'diameter', 'length'],
  material: ['name', 'unit'],
};

const LABELS: Readonly<Record<string, string>> = {
  wood: 'Wood',
  length: 'Length',
  width: 'Width',
  thickness: 'Thickness',
  diameter: 'Diameter',
  name: 'Name',
  unit: 'Unit',
};

/** What lies in the drawers: parts, wood left over, dowels, what is used up; quantity and where. */
@Component({
  selector: 'rn-drawers-page',
  imports: [LengthField, MatButtonModule, RouterLink, UsedInList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drawers-page.html',
  styleUrl: './shop-table.scss',
})
export class DrawersPage {
  private readonly store = inject(Store);
  private readonly commands = inject(ShelfCommands);
  private readonly toast = inject(MatSnackBar);
  private readonly held = this.store.selectSignal(stock.select);
  private readonly shelf = this.store.selectSignal(selectParts);
  private readonly inputs = viewChildren(LengthField);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  private readonly kind = signal<keyof typeof FIELDS>('offcut');
  protected readonly texts = signal<Readonly<Record<string, string>>>({});
  protected readonly labels = LABELS;
  protected readonly fields = computed(() => FIELDS[this.kind()]);
  protected readonly rows = computed(() => {
    const names = namesOf(null, this.shelf());
    return (this.held().data ?? [])
      .map((kept) => ({
        kept,
        reserved: Object.values(kept.reserved).reduce((n, x) => n + x, 0),
        part: kept.item.kind === 'part' ? kept.item.part : null,
        what: whatOf(kept.item, (id) => nameOf(names, id)),
      }))
      .sort((a, b) => Number(a.part !== null) - Number(b.part !== null) || a.what.localeCompare(b.what));
  });

  protected isSize(field: string): boolean {
    return ['length', 'width', 'thickness', 'diameter'].includes(field);
  }

  protected begin(event: Event): void {
    this.kind.set((event.target as HTMLSelectElement).value as keyof typeof FIELDS);
  }

  protected type(field: string, event: Event): void {
    this.set(field, (event.target as HTMLInputElement).value);
  }

  protected set(field: string, text: string): void {
    this.texts.update((t) => ({ ...t, [field]: text }));
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const text = (f: string): string => (this.texts()[f] ?? (f === 'quantity' ? '1' : '')).trim();
    const lengths = this.fields().filter((f) => this.isSize(f));
    const sizes = new Map(lengths.map((f, i) => [f, this.inputs()[i]?.value() ?? null]));
    const wrong = lengths.find((f) => sizes.get(f) === null);
    if (wrong !== undefined) return this.problem.set(`‘${text(wrong)}’ is no ${wrong}.`);
    if (text('quantity') === '' || !(Number(text('quantity').replace(',', '.')) >= 0)) {
      return this.problem.set(`‘${text('quantity')}’ is not a quantity. Type 0 or more.`);
    }
    const values = this.fields().map((f) => [f, this.isSize(f) ? sizes.get(f) : f === 'unit' && text(f) === '' ? 'pieces' : text(f)]);
    const item = {
      id: crypto.randomUUID(),
      kind: this.kind(),
      quantity: Number(text('quantity').replace(',', '.')),
      drawer: text('drawer'),
      ...Object.fromEntries(values),
      ...(this.kind() === 'material' ? { leadDays: null } : {}),
    } as StockItem;
    const { error } = stockItem.validate(item, { convert: false });
    if (error) {
      this.problem.set(`${error.message}.`);
      return;
    }
    if (await this.attempt.run(() => this.commands.keepStock(item, null))) this.texts.set({});
  }

  protected async useOne({ item, version }: KeptStock): Promise<void> {
    await this.attempt.run(() => this.commands.keepStock({ ...item, quantity: item.quantity - 1 }, version));
  }

  protected async remove(kept: KeptStock): Promise<void> {
    if (!(await this.attempt.run(() => this.commands.removeStock(kept)))) return;
    const said = this.toast.open('Archive item', 'Undo', { duration: 8000 });
    said.onAction().subscribe(() => void this.attempt.run(() => this.commands.keepStock(kept.item, null)));
  }
}

function whatOf(s: StockItem, name: (id: string) => string): string {
  switch (s.kind) {
    case 'part':
      return name(s.part);
    case 'offcut':
      return `Offcut, ${s.wood}, ${s.length} × ${s.width} × ${s.thickness}\u202fmm`;
    case 'dowel':
      return `Dowel, ${s.wood}, Ø ${s.diameter} × ${s.length}\u202fmm`;
    case 'material':
      return `${s.name}, ${s.unit}`;
  }
}
