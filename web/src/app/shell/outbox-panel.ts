import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { LogStep } from '@rinnovo/contract';
import type { LedgerEntry } from '@rinnovo/core/job';
import { dateTimeText } from '@rinnovo/words';
import { problemText } from '../api/problem-of';
import { Connection } from '../api/connection';
import { Outbox } from '../api/outbox';
import { reloadBench } from '../state/reload-bench';
import { attempt } from '../ui/attempt';

/** What is stored here and waits for the server, and what it refused when it was sent again, with both sides. */
@Component({
  selector: 'rn-outbox-panel',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(window:beforeunload)': 'mayClose($event)' },
  template: `
    @if (connection.current() === 'away') {
      <p role="status">The server does not answer. {{ waiting() }} and sent when the server is back.</p>
    }
    @if (one.problem(); as text) {
      <p role="alert">{{ text }}</p>
    }
    @for (r of refused(); track r.n) {
      <section role="alert">
        <p>
          Not saved, entered {{ r.when }}: <strong>{{ r.why }}</strong>
        </p>
        <details>
          <summary>Both versions</summary>
          <p>Entered here</p>
          <pre>{{ r.mine }}</pre>
          @if (r.theirs; as theirs) {
            <p>On the server</p>
            <pre>{{ theirs }}</pre>
          }
        </details>
        @if (r.step) {
          <p>Was the step done? Then keep it: the next cut waits until somebody looked at it.</p>
          <label>Why it was done<input maxlength="200" autocomplete="off" #why /></label>
          <button matButton="outlined" type="button" [disabled]="one.busy()" (click)="keep(r.n, why.value)">Keep as done, not judged</button>
        }
        <button matButton="outlined" type="button" [disabled]="one.busy()" (click)="discard(r.n)">Discard this entry</button>
      </section>
    }
  `,
  styles: `
    p[role='status'],
    p[role='alert'],
    section {
      padding: 0.5rem 1rem;
      background: var(--rn-danger-fill);
      color: var(--rn-danger);
      font-weight: 600;
    }
    details {
      color: var(--rn-ink);
      font-weight: 400;
    }
    pre {
      max-height: 12rem;
      overflow: auto;
      white-space: pre-wrap;
    }
  `,
})
export class OutboxPanel {
  protected readonly connection = inject(Connection);
  private readonly outbox = inject(Outbox);
  private readonly store = inject(Store);
  protected readonly one = attempt();
  protected readonly waiting = computed(() => {
    const n = this.outbox.waiting().length;
    if (n === 0) return 'Your work is stored here';
    return n === 1 ? 'One entry is stored here' : `${n} entries are stored here`;
  });
  protected readonly refused = computed(() =>
    this.outbox.refused().map(({ n, at, url, body, refused }) => ({
      n,
      step: url.startsWith('/api/ledger/'),
      when: dateTimeText(at),
      why: refused ? problemText(refused) : '',
      mine: JSON.stringify(body, null, 1).slice(0, 4000),
      theirs: refused?.current === undefined ? null : JSON.stringify(refused.current, null, 1).slice(0, 4000),
    })),
  );

  protected async keep(n: number, why: string): Promise<void> {
    const kept = this.outbox.refused().find((k) => k.n === n);
    if (why.trim() === '') this.one.problem.set('Type why it was done');
    else if (kept)
      await this.one.run(async () => {
        const said: LogStep = { ...(kept.body as LogStep), unjudged: why.trim() };
        const { entry } = await this.outbox.sendAs<{ entry: LedgerEntry }>(kept, said);
        reloadBench(this.store, entry.job, entry.instrument);
      });
  }

  protected discard(n: number): void {
    void this.outbox.forget(n);
  }

  /** A page is not closed on what waits without a word. */
  protected mayClose(event: BeforeUnloadEvent): void {
    if (this.outbox.waiting().length > 0 && this.connection.current() === 'away') event.preventDefault();
  }
}
