import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { CONSENT_WAYS } from '@rinnovo/contract';
import { priceWithWork } from '@rinnovo/core/remedy';
import { moneyText, CONSENT_WORDS } from '@rinnovo/words';
import { Commands } from '../state/commands';
import { shop } from '../state/resources';
import { selectDecision, selectJob } from '../state/selectors';
import { attempt } from './attempt';

/** What the owner is to agree to, with its price, and how it was agreed. */
@Component({
  selector: 'rn-ask-owner',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="keep($event)" novalidate>
      <p>
        Parts and work: <strong class="number">{{ price() }}</strong>. The options and prices are saved with the consent.
      </p>
      <label
        >How asked
        <select (change)="how.set(wayOf($event))">
          @for (w of ways; track w) {
            <option [value]="w">{{ wayWords[w] }}</option>
          }
        </select>
      </label>
      <label>Owner’s answer<input type="text" maxlength="500" autocomplete="off" [value]="said()" (input)="said.set(text($event))" /></label>
      <button matButton="outlined" type="submit" [disabled]="busy()">Save consent</button>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: end;
      padding-block-end: 0.5rem;
    }
    p {
      flex-basis: 100%;
    }
    label {
      display: grid;
      flex: 1;
      font-size: 0.875rem;
      color: var(--rn-ink-soft);
    }
  `,
})
export class AskOwner {
  protected readonly wayWords = CONSENT_WORDS;
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly decision = this.store.selectSignal(selectDecision);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly ways = CONSENT_WAYS;
  protected readonly how = signal<(typeof CONSENT_WAYS)[number]>('in person');
  protected readonly said = signal('');
  protected readonly price = computed(() => {
    const d = this.decision();
    const s = this.shop().data?.settings;
    const chosen = d?.options.find((o) => o.id === d.option);
    return s && chosen ? moneyText(priceWithWork(chosen.price, chosen.minutes, s)) : '—';
  });

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected wayOf(event: Event): (typeof CONSENT_WAYS)[number] {
    const { value } = event.target as HTMLSelectElement;
    return CONSENT_WAYS.find((w) => w === value) ?? 'in person';
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const [job, decision, said] = [this.job(), this.decision(), this.said().trim()];
    if (said === '') {
      this.problem.set('Type the owner’s answer.');
      return;
    }
    if (job && decision) await this.attempt.run(() => this.commands.keepConsent(job, decision, { how: this.how(), said }));
  }
}
