import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import type { KeepConsent } from '@rinnovo/contract';
import { CONSENT_WAYS } from '@rinnovo/core/job';
import { CONSENT_WORDS } from '@rinnovo/words';

/** What the owner answered, and how they were asked. */
export type Answer = Omit<KeepConsent, 'decision'>;

/** What the owner is asked: the price of parts and work in words; whether the answer is being kept, and what stands against that. */
export interface OwnerAsked {
  readonly price: string;
  readonly busy: boolean;
  readonly problem: string | null;
}

/** What the owner is to agree to, with its price, and how it was agreed. */
@Component({
  selector: 'rn-ask-owner',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="keep($event)" novalidate>
      <p>
        Parts and work: <strong class="number">{{ asked().price }}</strong>. The options and prices are saved with the consent.
      </p>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How asked</mat-label>
        <select matNativeControl (change)="how.set(wayOf($event))">
          @for (w of ways; track w) {
            <option [value]="w">{{ wayWords[w] }}</option>
          }
        </select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Owner’s answer</mat-label>
        <input matInput type="text" maxlength="500" autocomplete="off" [value]="said()" (input)="type($event)" />
      </mat-form-field>
      <button matButton="outlined" type="submit" [disabled]="asked().busy">Save consent</button>
      @if (empty()) {
        <p class="problem" role="alert">Type the owner’s answer.</p>
      } @else if (asked().problem; as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: center;
      padding-block-end: 0.5rem;
    }
    p {
      flex-basis: 100%;
    }
    mat-form-field {
      flex: 1 1 12rem;
    }
  `,
})
export class AskOwner {
  protected readonly wayWords = CONSENT_WORDS;
  readonly asked = input.required<OwnerAsked>();
  readonly agreed = output<Answer>();
  protected readonly ways = CONSENT_WAYS;
  protected readonly how = signal<Answer['how']>('in person');
  protected readonly said = signal('');
  /** The form was sent with no answer in it. */
  protected readonly empty = signal(false);

  protected type(event: Event): void {
    this.said.set((event.target as HTMLInputElement).value);
    this.empty.set(false);
  }

  protected wayOf(event: Event): Answer['how'] {
    const { value } = event.target as HTMLSelectElement;
    return CONSENT_WAYS.find((w) => w === value) ?? 'in person';
  }

  protected keep(event: Event): void {
    event.preventDefault();
    const said = this.said().trim();
    this.empty.set(said === '');
    if (said !== '') this.agreed.emit({ how: this.how(), said });
  }
}
