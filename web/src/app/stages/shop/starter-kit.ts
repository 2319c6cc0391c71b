import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { STARTER_KIT, type Tool } from '@rinnovo/core/part';
import { toolText } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { attempt } from '../../ui/attempt';

/** A new workshop: what a bench usually has, ticked off in a minute. */
@Component({
  selector: 'rn-starter-kit',
  imports: [MatButtonModule, MatCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" aria-label="Starter kit">
      <h2>What is on your bench?</h2>
      <p>Untick what you do not have. Sizes are usual ones: correct them in Shop, Tools.</p>
      <div class="kit">
        @for (t of kit; track t.name) {
          <mat-checkbox [checked]="!left().has(t.name)" (change)="tick(t.name, $event.checked)"
            >{{ t.name }} <span class="soft number">{{ t.sizes }}</span></mat-checkbox
          >
        }
      </div>
      <p class="act">
        <button matButton="filled" type="button" [disabled]="busy() || taken().length === 0" (click)="add()">{{ word() }}</button>
        @if (busy()) {
          <span role="status">{{ done() }} of {{ taken().length }}</span>
        }
      </p>
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    </section>
  `,
  styles: `
    section {
      padding: 1rem;
      margin-block-end: 1rem;
    }
    .kit {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(19rem, 100%), 1fr));
      margin-block: 0.5rem;
    }
    .act {
      display: flex;
      gap: 0.75rem;
      align-items: center;
    }
  `,
})
export class StarterKit {
  private readonly commands = inject(ShopCommands);
  protected readonly kit = STARTER_KIT.map((t) => ({ name: t.name, sizes: toolText({ ...t, id: '' } as Tool) }));
  /** What this bench does not have, by name. */
  protected readonly left = signal<ReadonlySet<string>>(new Set());
  protected readonly taken = computed(() => STARTER_KIT.filter((t) => !this.left().has(t.name)));
  protected readonly word = computed(() => (this.taken().length === 1 ? 'Add 1 tool' : `Add ${this.taken().length} tools`));
  /** How many are kept. */
  protected readonly done = signal(0);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  private readonly ids = new Map(STARTER_KIT.map((t) => [t.name, crypto.randomUUID() as string]));

  protected tick(name: string, has: boolean): void {
    this.left.update((l) => new Set(has ? [...l].filter((n) => n !== name) : [...l, name]));
  }

  protected async add(): Promise<void> {
    const tools = this.taken().map((t): Tool => ({ ...t, id: this.ids.get(t.name) ?? '' }) as Tool);
    await this.attempt.run(() => this.commands.keepTools(tools, (n) => this.done.set(n)));
  }
}
