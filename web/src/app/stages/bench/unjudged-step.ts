import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { LedgerEntry } from '@rinnovo/core/job';
import { dateTimeText, loggedStepText } from '@rinnovo/words';

/** A step that was done without being judged: what it was, why, and what somebody finds who looks at it. */
@Component({
  selector: 'rn-unjudged-step',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="say($event)" novalidate>
      <p>
        <strong>{{ what() }}</strong>, {{ when() }}. Not judged: {{ entry().unjudged?.why }}
      </p>
      <label>What is there now<input maxlength="500" autocomplete="off" [value]="found()" (input)="found.set($any($event.target).value)" /></label>
      <button matButton="outlined" type="submit" [disabled]="busy()">Save what is there</button>
      @if (refusal() ?? problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    </form>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: end;
    }
    p {
      flex-basis: 100%;
      margin: 0;
    }
    label {
      display: grid;
      flex: 1 1 16rem;
    }
  `,
})
export class UnjudgedStep {
  readonly entry = input.required<LedgerEntry>();
  readonly busy = input(false);
  readonly problem = input<string | null>(null);
  readonly looked = output<{ readonly entry: string; readonly found: string }>();
  protected readonly found = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly what = computed(() => loggedStepText(this.entry().kind, this.entry().step));
  protected readonly when = computed(() => dateTimeText(this.entry().done ?? this.entry().at));

  protected say(event: Event): void {
    event.preventDefault();
    const found = this.found().trim();
    this.refusal.set(found === '' ? 'Type what is there now' : null);
    if (found !== '') this.looked.emit({ entry: this.entry().id, found });
  }
}
