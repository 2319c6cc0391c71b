import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { AnatomyRevision } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { problemOf, problemText } from '../../api/problem-of';
import { anatomy, people } from '../../state/resources';
import { dateTimeText } from '@rinnovo/words';

type Entry = Omit<AnatomyRevision, 'document'>;

const CAUSES: Readonly<Record<AnatomyRevision['cause'], string>> = { work: 'work', correction: 'correction', restore: 'restored' };

/** Every state the instrument had: by whom, when, corrected or worked on; laid over the present one, or brought back. */
@Component({
  selector: 'rn-history-panel',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (problem(); as text) {
      <p class="problem pad" role="alert">{{ text }}</p>
    }
    <ul class="rows">
      @for (r of rows(); track r.revision) {
        <li>
          <span class="what"
            ><strong>{{ r.revision }}</strong> {{ r.cause }}<br /><span class="soft">{{ r.when }} · {{ r.who }}</span></span
          >
          @if (r.now) {
            <span class="soft">current</span>
          } @else {
            <button matButton type="button" [attr.aria-pressed]="compared() === r.revision" (click)="lay(r.revision)">Compare</button>
            <button matButton type="button" [attr.aria-label]="'Restore revision ' + r.revision" (click)="restore(r.revision)">Restore</button>
          }
        </li>
      } @empty {
        <li role="status">Loading the history …</li>
      }
    </ul>
  `,
  styles: `
    li {
      display: flex;
      gap: 0.5rem;
      align-items: center;
      padding: 0.3rem 0.75rem;
      border-block-end: 1px solid var(--rn-line);
    }
    .what {
      flex: 1;
    }
    .pad {
      padding: 0.75rem;
    }
  `,
})
export class HistoryPanel {
  readonly compared = input<number | null>(null);
  readonly compare = output<{ readonly revision: number; readonly document: Anatomy } | null>();
  readonly restored = output<Anatomy>();
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly people = this.store.selectSignal(people.select);
  private readonly history = signal<readonly Entry[]>([]);
  protected readonly problem = signal<string | null>(null);
  protected readonly rows = computed(() =>
    this.history().map((h) => ({
      revision: h.revision,
      cause: CAUSES[h.cause],
      when: dateTimeText(h.at),
      who: this.people().data?.find((p) => p.id === h.person)?.name ?? '',
      now: h.revision === this.held().data?.now.revision,
    })),
  );

  constructor() {
    // again whenever a revision was made
    effect(() => {
      const { of, version } = this.held();
      if (of !== null && version !== null) void this.load(of);
    });
  }

  protected async lay(revision: number): Promise<void> {
    if (this.compared() === revision) this.compare.emit(null);
    else await this.fetch(revision, (document) => this.compare.emit({ revision, document }));
  }

  protected async restore(revision: number): Promise<void> {
    await this.fetch(revision, (document) => this.restored.emit(document));
  }

  private async load(of: string): Promise<void> {
    try {
      const { body } = await firstValueFrom(this.api.get<{ items: readonly Entry[] }>(`/instruments/${of}/anatomy/history`));
      this.history.set(body.items);
    } catch (error) {
      this.problem.set(problemText(problemOf(error)));
    }
  }

  private async fetch(revision: number, then: (document: Anatomy) => void): Promise<void> {
    this.problem.set(null);
    try {
      const { body } = await firstValueFrom(this.api.get<AnatomyRevision>(`/instruments/${this.held().of ?? ''}/anatomy/${revision}`));
      then(body.document);
    } catch (error) {
      this.problem.set(problemText(problemOf(error)));
    }
  }
}
