import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { Store } from '@ngrx/store';
import type { Consent } from '@rinnovo/core/job';
import { dateText, moneyText } from '@rinnovo/words';
import { Commands } from '../../state/commands';
import { selectJob } from '../../state/selectors';
import { attempt } from '../../ui/attempt';

/** What the owner agreed to, at what price; it can be taken back, in the owner's words, and both stay. */
@Component({
  selector: 'rn-consent-given',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      The owner agreed {{ yes().how }}, {{ date(yes().at) }}, at <strong class="number">{{ price() }}</strong>: “{{ yes().said }}”
    </p>
    @if (yes().withdrawn; as back) {
      <p class="problem">Withdrawn {{ date(back.at) }}: “{{ back.said }}”. Ask again before the next cut.</p>
    } @else if (asking()) {
      <form (submit)="withdraw($event)" novalidate>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>What the owner said</mat-label>
          <input matInput type="text" maxlength="500" autocomplete="off" [value]="said()" (input)="type($event)" />
        </mat-form-field>
        <button matButton="outlined" type="submit" [disabled]="one.busy()">Withdraw consent</button>
        <button matButton type="button" (click)="asking.set(false)">Cancel</button>
        @if (one.problem(); as text) {
          <p class="problem" role="alert">{{ text }}</p>
        }
      </form>
    } @else {
      <button matButton type="button" (click)="asking.set(true)">The owner withdrew it</button>
    }
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: end;
    }
    mat-form-field {
      flex: 1 1 12rem;
    }
  `,
})
export class ConsentGiven {
  readonly yes = input.required<Consent>();
  private readonly commands = inject(Commands);
  private readonly job = inject(Store).selectSignal(selectJob);
  protected readonly asking = signal(false);
  protected readonly said = signal('');
  protected readonly one = attempt();
  protected readonly date = dateText;
  protected readonly price = computed(() => moneyText(this.yes().price));

  protected type(event: Event): void {
    this.said.set((event.target as HTMLInputElement).value);
  }

  protected async withdraw(event: Event): Promise<void> {
    event.preventDefault();
    const [job, said] = [this.job(), this.said().trim()];
    this.one.problem.set(said === '' ? 'Type what the owner said.' : null);
    if (job && said !== '' && (await this.one.run(() => this.commands.withdrawConsent(job, this.yes(), said)))) this.asking.set(false);
  }
}
