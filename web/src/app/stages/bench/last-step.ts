import { whyItStays } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { standing, UNDO_FOR } from '@rinnovo/core/job';
import { loggedStepText, notTakenBackText } from '@rinnovo/words';
import { Connection } from '../../api/connection';
import { BenchCommands } from '../../state/bench-commands';
import { ledger } from '../../state/resources';
import { selectJob } from '../../state/selectors';
import { attempt } from '../../ui/attempt';
import { FocusNow } from '../../ui/focus-now';

/** What was logged last: undone at once within a minute, later with a reason; a cut stays, and says so. */
@Component({
  selector: 'rn-last-step',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, FocusNow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (last(); as l) {
      <div class="last" role="status">
        <span class="soft">Last: {{ what() }}</span>
        @if (stays(); as why) {
          <span class="soft">{{ why }}</span>
        } @else if (away()) {
          <span class="soft">Undo waits for the server.</span>
        } @else if (seconds() > 0) {
          <button matButton="outlined" type="button" [disabled]="taking.busy()" (click)="take('')">
            Undo <span class="number" aria-hidden="true">{{ seconds() }}&#8239;s</span>
          </button>
        } @else if (asking()) {
          <form (submit)="say($event)" novalidate>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Why it was not done</mat-label>
              <input matInput rnFocusNow maxlength="500" autocomplete="off" [value]="reason()" (input)="reason.set($any($event.target).value)" />
            </mat-form-field>
            <button matButton="outlined" type="submit" [disabled]="taking.busy()">Save as not done</button>
            <button matButton type="button" (click)="asking.set(false)">Cancel</button>
          </form>
        } @else {
          <button matButton type="button" (click)="asking.set(true)">Not done after all</button>
        }
      </div>
      @if (taking.problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    }
  `,
  styles: `
    .last,
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: center;
      min-height: 44px;
    }
    p {
      margin: 0;
    }
    mat-form-field {
      width: 18rem;
    }
  `,
})
export class LastStep {
  private readonly store = inject(Store);
  private readonly commands = inject(BenchCommands);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly held = this.store.selectSignal(ledger.select);
  private readonly connection = inject(Connection);
  private readonly all = computed(() => this.held().data ?? []);
  protected readonly last = computed(() => {
    const newest = standing(this.all()).at(-1);
    return newest?.job === this.job()?.id ? newest : undefined;
  });
  protected readonly what = computed(() => loggedStepText(this.last()?.kind ?? '', this.last()?.step ?? ''));
  protected readonly away = computed(() => this.connection.current() === 'away');
  /** Why it cannot be taken back. */
  protected readonly stays = computed(() => {
    const why = whyItStays(this.all(), this.last()?.id ?? '');
    return why && notTakenBackText(why);
  });
  private readonly now = signal(Date.now());
  /** What is left of the minute. */
  protected readonly seconds = computed(
    () => Math.min(UNDO_FOR.value, Math.ceil(UNDO_FOR.value - (this.now() - Date.parse(this.last()?.at ?? '')) / 1000)) || 0,
  );
  protected readonly taking = attempt();
  private readonly of = computed(() => this.last()?.id ?? '');
  protected readonly asking = linkedSignal<string, boolean>({ source: this.of, computation: () => false });
  protected readonly reason = linkedSignal<string, string>({ source: this.of, computation: () => '' });

  constructor() {
    const tick = setInterval(() => {
      if (this.seconds() > 0) this.now.set(Date.now());
    }, 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(tick));
    effect(() => {
      this.of();
      untracked(() => this.now.set(Date.now()));
    });
  }

  protected say(event: Event): void {
    event.preventDefault();
    if (this.reason().trim() === '') this.taking.problem.set('Type why it was not done.');
    else void this.take(this.reason().trim());
  }

  protected async take(reason: string): Promise<void> {
    const job = this.job();
    if (job) await this.taking.run(() => this.commands.takeStepBack(job, this.of(), reason));
  }
}
