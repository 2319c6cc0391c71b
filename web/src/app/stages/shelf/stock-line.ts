import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { Store } from '@ngrx/store';
import type { KeptStock } from '@rinnovo/contract';
import { ShelfCommands } from '../../state/shelf-commands';
import { stock } from '../../state/resources';
import { attempt } from '../../ui/attempt';

/** How many of a part are there, and in which drawer. */
@Component({
  selector: 'rn-stock-line',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="keep($event)" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>In stock</mat-label>
        <input matInput inputmode="decimal" autocomplete="off" [value]="quantity()" (input)="quantity.set(text($event))" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Drawer</mat-label>
        <input matInput type="text" maxlength="60" autocomplete="off" [value]="drawer()" (input)="drawer.set(text($event))" />
      </mat-form-field>
      <button matButton="outlined" type="submit" [disabled]="busy()">Count</button>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: end;
    }
    mat-form-field {
      width: 8rem;
    }
    p {
      flex-basis: 100%;
    }
  `,
})
export class StockLine {
  readonly part = input.required<string>();
  private readonly commands = inject(ShelfCommands);
  private readonly held = inject(Store).selectSignal(stock.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  private readonly kept = computed((): KeptStock | null => (this.held().data ?? []).find((s) => s.item.kind === 'part' && s.item.part === this.part()) ?? null);
  private readonly at = computed(() => `${this.part()} ${this.kept()?.version ?? 0}`);
  protected readonly quantity = linkedSignal({ source: () => this.at(), computation: () => String(this.kept()?.item.quantity ?? 0) });
  protected readonly drawer = linkedSignal({ source: () => this.at(), computation: () => this.kept()?.item.drawer ?? '' });

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const quantity = Number(this.quantity().trim().replace(',', '.'));
    if (this.quantity().trim() === '' || !Number.isFinite(quantity) || quantity < 0 || quantity > 1_000_000) {
      this.problem.set(`‘${this.quantity()}’ is not a quantity. Type 0 or more.`);
      return;
    }
    const kept = this.kept();
    const item = { id: kept?.item.id ?? crypto.randomUUID(), kind: 'part' as const, part: this.part(), quantity, drawer: this.drawer().trim() };
    await this.attempt.run(() => this.commands.keepStock(item, kept?.version ?? null));
  }
}
