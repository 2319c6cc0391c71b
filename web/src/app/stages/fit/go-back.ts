import type { Decision } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import type { ReturnPlan } from '@rinnovo/contract';
import { operationName, undoText } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { anatomy } from '../../state/resources';
import { selectJob, selectNames, selectOperations } from '../../state/selectors';
import { attempt } from '../../ui/attempt';

/** What leads back from begun work: the operations for it, what stays for good, and how what was there goes in again. */
@Component({
  selector: 'rn-go-back',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>The way back</h3>
    <p class="soft">Work has started, so the decision cannot be undone directly. These operations lead back:</p>
    @if (summary(); as way) {
      <ol>
        @for (o of way.operations; track o) {
          <li>{{ words(o) }}</li>
        } @empty {
          <li>No work needed: nothing has changed so far.</li>
        }
      </ol>
      @if (way.stays.length > 0) {
        <p>Cannot be undone:</p>
        <ul>
          @for (u of way.stays; track u) {
            <li class="problem">{{ u }}</li>
          }
        </ul>
      }
      <p>{{ way.fits }}</p>
      @if (open()) {
        <form (submit)="order($event)">
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Reason</mat-label>
            <input matInput maxlength="500" [value]="reason()" (input)="reason.set(text($event))" />
          </mat-form-field>
          @if (act.problem(); as text) {
            <p class="problem" role="alert">{{ text }}</p>
          }
          <p class="soft">Operations not started are dropped. Cuts made so far stay in the anatomy.</p>
          <button matButton="filled" type="submit" [disabled]="act.busy()">Plan the way back</button>
          <button matButton type="button" (click)="open.set(false)">Continue as decided</button>
        </form>
      } @else {
        <button matButton="outlined" type="button" (click)="open.set(true)">Plan the way back …</button>
      }
    } @else if (failure(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
      <button matButton type="button" (click)="way.reload()">Try again</button>
    } @else {
      <p role="status">Computing the way back …</p>
    }
  `,
  styles: `
    form {
      display: grid;
      gap: 0.5rem;
      justify-items: start;
    }
    mat-form-field {
      inline-size: 100%;
    }
    li {
      margin-block: 0.2rem;
    }
  `,
})
export class GoBack {
  readonly decision = input.required<Decision>();
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly toast = inject(MatSnackBar);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly held = this.store.selectSignal(anatomy.select);
  /** What the way back depends on; another step logged asks for it anew. */
  private readonly from = computed(
    () => ({ id: this.decision().id, as: [this.held().version, ...this.operations().map((o) => `${o.id} ${o.state}`)].join() }),
    { equal: (a, b) => a.id === b.id && a.as === b.as },
  );
  protected readonly way = resource({
    params: () => this.from(),
    loader: async ({ params }) => (await firstValueFrom(this.api.get<ReturnPlan>(`/decisions/${params.id}/way-back`))).body,
  });
  protected readonly failure = computed(() => {
    const error = this.way.error();
    return error ? problemText(problemOf(error.cause ?? error)) : null;
  });
  protected readonly summary = computed(() => {
    if (!this.way.hasValue()) return null;
    const { operations, stays, minutes, numbers } = this.way.value();
    const clashes = numbers.filter((n) => n.class === 'clashes' || n.class === 'tooClose').length;
    const open = numbers.filter((n) => n.class === 'notMeasured').length;
    const goes =
      numbers.length === 0
        ? ''
        : clashes === 0
          ? 'The original parts fit again without a clash'
          : `The original parts no longer clear everywhere: ${clashes} to check`;
    const fits = [goes, open > 0 ? `${open} not measured` : '', minutes > 0 ? `${minutes}\u202fmin` : ''].filter((x) => x !== '').join('; ');
    return { operations, stays: stays.map((u) => undoText(u, this.names())), fits: fits === '' ? '' : `${fits}.` };
  });
  protected readonly words = operationName;
  protected readonly open = signal(false);
  protected readonly reason = signal('');
  protected readonly act = attempt();

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async order(event: Event): Promise<void> {
    event.preventDefault();
    const job = this.job();
    if (!job || !this.way.hasValue()) return;
    const reason = this.reason().trim();
    if (reason === '') {
      this.act.problem.set('Type a reason. In three years it is all that remains.');
      return;
    }
    const way = this.way.value();
    const done = await this.act.run(() => this.commands.goBack(job, this.decision(), way, reason));
    if (done) this.toast.open('The way back is planned. See Order and Bench.', undefined, { duration: 5000 });
    else this.way.reload();
  }
}
