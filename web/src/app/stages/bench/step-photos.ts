import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { Photograph } from '@rinnovo/contract';
import { BenchCommands } from '../../state/bench-commands';
import { anatomy, photographs } from '../../state/resources';
import { attempt } from '../../ui/attempt';
import { smallerPicture } from '../../ui/smaller-picture';
import { dateTimeText } from '@rinnovo/words';

/** Pictures of the work at hand: taken on the step, looked at, taken away and brought back. */
@Component({
  selector: 'rn-step-photos',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="acts">
      <button matButton="outlined" type="button" [disabled]="act.busy()" (click)="input.click()">
        {{ act.busy() ? saving() : 'Photograph the step' }}
      </button>
      <input
        #input
        type="file"
        accept="image/*"
        capture="environment"
        class="visually-hidden"
        aria-label="Photograph of the step"
        tabindex="-1"
        (change)="take($event)"
      />
      @if (removed(); as p) {
        <button matButton type="button" (click)="bringBack(p)">Restore photograph</button>
      }
    </p>
    @if (act.problem(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
    <ul>
      @for (p of mine(); track p.id) {
        <li>
          <a [href]="'/api/photographs/' + p.id + '/image'" target="_blank" rel="noopener">
            <img [src]="'/api/photographs/' + p.id + '/small'" [alt]="'Photograph of ' + when(p.at)" />
          </a>
          <button matButton type="button" [attr.aria-label]="'Remove the photograph of ' + when(p.at)" (click)="archive(p)">Remove photograph</button>
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      justify-items: start;
    }
    img {
      display: block;
      height: 84px;
      border: 1px solid var(--rn-line);
    }
    .acts {
      margin: 0 0 0.4rem;
    }
  `,
})
export class StepPhotos {
  protected readonly when = dateTimeText;
  readonly operation = input.required<string>();
  readonly step = input.required<string>();
  private readonly commands = inject(BenchCommands);
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly all = this.store.selectSignal(photographs.select);
  protected readonly act = attempt();
  private readonly waits = signal(0);
  protected readonly saving = computed(() => (this.waits() > 1 ? `Saving … ${this.waits()} pictures are read one by one` : 'Saving …'));
  /** What was taken away last, to be brought back. */
  protected readonly removed = signal<Photograph | null>(null);
  protected readonly mine = computed(() => (this.all().data ?? []).filter((p) => p.operation === this.operation()));

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    const instrument = this.held().of;
    if (!file || instrument === null) return;
    this.waits.set(0);
    await this.act.run(async () =>
      this.commands.takePhotograph(instrument, this.operation(), this.step(), await smallerPicture(file), (n) => this.waits.set(n)),
    );
    field.value = '';
  }

  protected async archive(p: Photograph): Promise<void> {
    await this.act.run(async () => this.removed.set({ ...p, version: await this.commands.removePhotograph(p, true) }));
  }

  protected async bringBack(p: Photograph): Promise<void> {
    if (await this.act.run(() => this.commands.removePhotograph(p, false))) this.removed.set(null);
  }
}
