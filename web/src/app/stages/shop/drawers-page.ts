import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
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
import { standing } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { UsedInList } from '../../ui/used-in';

type Kind = 'offcut' | 'dowel' | 'material';
type SizeOf = 'length' | 'width' | 'thickness' | 'diameter';
type TextOf = 'wood' | 'name' | 'unit';

const FIELDS: Readonly<Record<Kind, { readonly texts: readonly TextOf[]; readonly sizes: readonly SizeOf[] }>> = {
  offcut: { texts: ['wood'], sizes: ['length', 'width', 'thickness'] },
  dowel: { texts: ['wood'], sizes: ['diameter', 'length'] },
  material: { texts: ['name', 'unit'], sizes: [] },
};

const LABELS: Readonly<Record<SizeOf | TextOf, string>> = {
  wood: 'Wood',
  length: 'Length',
  width: 'Width',
  thickness: 'Thickness',
  diameter: 'Diameter',
  name: 'Name',
  unit: 'Unit',
};

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });
const size = (): FormControl<number | null> => new FormControl<number | null>(null);

/** What lies in the drawers: parts, wood left over, dowels, what is used up; quantity and where. */
@Component({
  selector: 'rn-drawers-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, LengthField, ReactiveFormsModule, RouterLink, UsedInList],
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
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly form = new FormGroup({
    kind: new FormControl<Kind>('offcut', { nonNullable: true }),
    wood: text(),
    name: text(),
    unit: text(),
    length: size(),
    width: size(),
    thickness: size(),
    diameter: size(),
    quantity: new FormControl('1', { nonNullable: true }),
    drawer: text(),
  });
  private readonly is = standing(this.form);
  protected readonly labels = LABELS;
  protected readonly asked = computed(() => FIELDS[this.is().kind]);
  /** Sizes that it was sent without. */
  protected readonly missing = signal<readonly SizeOf[]>([]);
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

  protected async add(): Promise<void> {
    const is = this.form.getRawValue();
    const { texts, sizes } = this.asked();
    this.problem.set(null);
    this.missing.set(sizes.filter((f) => is[f] === null));
    if (this.missing().length > 0) return;
    const quantity = is.quantity.trim() === '' ? NaN : Number(is.quantity.trim().replace(',', '.'));
    if (!(quantity >= 0)) return this.problem.set(`‘${is.quantity.trim()}’ is not a quantity. Type 0 or more.`);
    const said = texts.map((f) => [f, f === 'unit' && is[f].trim() === '' ? 'pieces' : is[f].trim()]);
    const item = {
      id: crypto.randomUUID(),
      kind: is.kind,
      quantity,
      drawer: is.drawer.trim(),
      ...Object.fromEntries([...said, ...sizes.map((f) => [f, is[f]])]),
      ...(is.kind === 'material' ? { leadDays: null } : {}),
    } as StockItem;
    const { error } = stockItem.validate(item, { convert: false });
    if (error) {
      this.problem.set(`${error.message}.`);
      return;
    }
    if (await this.attempt.run(() => this.commands.keepStock(item, null))) this.form.reset({ kind: is.kind });
  }

  protected async useOne({ item, version }: KeptStock): Promise<void> {
    await this.attempt.run(() => this.commands.keepStock({ ...item, quantity: item.quantity - 1 }, version));
  }

  protected async remove(kept: KeptStock): Promise<void> {
    if (!(await this.attempt.run(() => this.commands.removeStock(kept)))) return;
    const said = this.toast.open('Item archived', 'Undo', { duration: 8000 });
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
