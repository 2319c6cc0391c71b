import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { anatomy } from '../state/resources';

/** One side of a stage: its path below the stage's own, and its word. */
export interface StageSide {
  readonly path: readonly string[];
  readonly word: string;
}

/** The sides of a stage of the instrument on the screen. */
@Component({
  selector: 'rn-stage-nav',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="label()">
      @for (s of sides(); track s.word) {
        <a
          [routerLink]="['/i', held().of, stage(), ...s.path]"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ s.word }}</a
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
export class StageNav {
  readonly stage = input.required<string>();
  readonly label = input.required<string>();
  readonly sides = input.required<readonly StageSide[]>();
  protected readonly held = inject(Store).selectSignal(anatomy.select);
}
