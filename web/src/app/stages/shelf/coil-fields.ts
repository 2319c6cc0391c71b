import { ChangeDetectionStrategy, Component, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import type { Coil } from '@rinnovo/core/part';

const NUMBERS = [
  { key: 'ohms', label: 'Ω', most: 1_000_000 },
  { key: 'henry', label: 'H', most: 100 },
  { key: 'picofarad', label: 'pF', most: 100_000 },
  { key: 'loss', label: 'Loss, Ω', most: 1_000_000_000 },
  { key: 'wireGauge', label: 'wire gauge', most: 50 },
] as const;

/** The coils of a pickup, as the meter or the sheet tells them; what is unknown stays empty. */
@Component({
  selector: 'rn-coil-fields',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (c of coils(); track $index) {
      <div class="coil" role="group" [attr.aria-label]="'Coil ' + ($index + 1)">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Name</mat-label>
          <input matInput type="text" maxlength="40" [value]="c.name" (change)="put($index, { name: text($event) || 'coil' })" />
        </mat-form-field>
        @for (n of numbers; track n.key) {
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>{{ n.label }}</mat-label>
            <input matInput inputmode="decimal" [value]="c[n.key] ?? ''" (change)="number($index, n.key, n.most, $event)" />
          </mat-form-field>
        }
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Winding direction</mat-label>
          <select matNativeControl (change)="put($index, { winding: winding(text($event)) })">
            <option value="" [selected]="c.winding === null">unknown</option>
            <option value="clockwise" [selected]="c.winding === 'clockwise'">clockwise</option>
            <option value="anticlockwise" [selected]="c.winding === 'anticlockwise'">anticlockwise</option>
          </select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Pole facing the strings</mat-label>
          <select matNativeControl (change)="put($index, { magnet: magnet(text($event)) })">
            <option value="" [selected]="c.magnet === null">unknown</option>
            <option value="north" [selected]="c.magnet === 'north'">north</option>
            <option value="south" [selected]="c.magnet === 'south'">south</option>
          </select>
        </mat-form-field>
        <button matButton type="button" (click)="remove($index)" [attr.aria-label]="'Delete coil ' + ($index + 1)">Delete</button>
      </div>
    }
    <p><button matButton="outlined" type="button" [disabled]="coils().length > 7" (click)="add()">Add coil</button></p>
    @if (wrong()) {
      <p class="problem" role="alert">{{ wrong() }}</p>
    }
  `,
  styles: `
    .coil {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(6.5rem, 1fr));
      gap: 0.5rem;
      align-items: center;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class CoilFields {
  readonly coils = model.required<readonly Coil[]>();
  protected readonly numbers = NUMBERS;
  protected readonly wrong = signal<string | null>(null);

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value.trim();
  }

  protected winding(text: string): Coil['winding'] {
    return text === 'clockwise' || text === 'anticlockwise' ? text : null;
  }

  protected magnet(text: string): Coil['magnet'] {
    return text === 'north' || text === 'south' ? text : null;
  }

  protected number(index: number, key: (typeof NUMBERS)[number]['key'], most: number, event: Event): void {
    const text = this.text(event);
    const value = Number(text.replace(',', '.'));
    const good = text === '' || (Number.isFinite(value) && value > 0 && value <= most && (key !== 'wireGauge' || (Number.isInteger(value) && value >= 30)));
    this.wrong.set(good ? null : `‘${text}’ is out of range: above 0, at most ${most}`);
    if (good) this.put(index, { [key]: text === '' ? null : value });
  }

  protected put(index: number, change: Partial<Coil>): void {
    this.coils.update((all) => all.map((c, i) => (i === index ? { ...c, ...change } : c)));
  }

  protected remove(index: number): void {
    this.coils.update((all) => all.filter((_, i) => i !== index));
  }

  protected add(): void {
    const name = ['first', 'second'][this.coils().length] ?? `coil ${this.coils().length + 1}`;
    this.coils.update((all) => [...all, { name, ohms: null, henry: null, picofarad: null, wireGauge: null, winding: null, magnet: null }]);
  }
}
