import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import type { Anatomy, Doubt } from '@rinnovo/core/instrument';
import { doubtText, namesOf } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';
import { WorkingView } from '../../ui/working-view';

/** What cannot all be true, each with its sum; the technician can insist, and the reason is kept. */
@Component({
  selector: 'rn-doubt-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (r of rows(); track r.d.key) {
      <article [class.off]="r.d.insisted" [attr.data-doubt]="r.d.key">
        <p>
          <span [class.problem]="!r.d.insisted" aria-hidden="true">{{ r.d.insisted ? '○' : '✕' }}</span> {{ r.text }}
        </p>
        <rn-working-view [working]="r.d.by" [rss]="null" [worst]="null" [minimum]="null" />
        @if (r.because; as why) {
          <p class="soft">Accepted: {{ why }}</p>
          <button matButton type="button" (click)="doubtAgain(r.d)">Withdraw</button>
        } @else {
          <form (submit)="insist($event, r.d)">
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Reason</mat-label>
              <input matInput maxlength="300" [value]="reasons()[r.d.key] ?? ''" (input)="type(r.d.key, $event)" />
            </mat-form-field>
            <button matButton="outlined" type="submit" [disabled]="(reasons()[r.d.key] ?? '').trim() === ''">Accept as true</button>
          </form>
        }
      </article>
    } @empty {
      <p class="pad">● No contradictions.</p>
    }
  `,
  styles: `
    article {
      display: grid;
      gap: 0.4rem;
      padding: 0.6rem 0.75rem;
      border-block-end: 1px solid var(--rn-line);
    }
    form {
      display: flex;
      gap: 0.5rem;
      align-items: center;
    }
    mat-form-field {
      flex: 1;
    }
    button {
      justify-self: start;
    }
    .pad {
      padding: 0.75rem;
    }
  `,
})
export class DoubtPanel {
  readonly anatomy = input.required<Anatomy>();
  readonly doubts = input.required<readonly Doubt[]>();
  readonly changed = output<Anatomy>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly reasons = signal<Readonly<Record<string, string>>>({});
  protected readonly rows = computed(() => {
    const names = namesOf(this.anatomy(), {});
    return this.doubts().map((d) => ({
      d,
      text: doubtText(d, names, this.unit()),
      because: this.anatomy().insisted.find((i) => i.doubt === d.key)?.because ?? null,
    }));
  });

  protected type(key: string, event: Event): void {
    this.reasons.update((r) => ({ ...r, [key]: (event.target as HTMLInputElement).value }));
  }

  protected insist(event: Event, d: Doubt): void {
    event.preventDefault();
    const because = (this.reasons()[d.key] ?? '').trim();
    const a = this.anatomy();
    if (because !== '') this.changed.emit({ ...a, insisted: [...a.insisted, { doubt: d.key, because }] });
  }

  protected doubtAgain(d: Doubt): void {
    const a = this.anatomy();
    this.changed.emit({ ...a, insisted: a.insisted.filter((i) => i.doubt !== d.key) });
  }
}
