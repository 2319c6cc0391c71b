import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { circuit } from '../../state/resources';

/** The sides of a circuit. */
@Component({
  selector: 'rn-wire-nav',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Wire">
      @for (l of links; track l.word) {
        <a
          [routerLink]="['/i', held().of, 'wire', ...l.path]"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ l.word }}</a
        >
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      gap: 0.25rem;
    }
    a {
      display: grid;
      place-items: center;
      min-height: 44px;
      padding: 0 0.9rem;
      border-block-end: 3px solid transparent;
      color: var(--rn-ink-soft);
      text-decoration: none;
    }
    .here {
      border-color: var(--rn-plan);
      color: var(--rn-ink);
      font-weight: 600;
    }
  `,
})
export class WireNav {
  protected readonly held = inject(Store).selectSignal(circuit.select);
  protected readonly links = [
    { path: [], word: 'Test sheet' },
    { path: ['circuit'], word: 'Circuit' },
    { path: ['response'], word: 'Response' },
  ];
}
