import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { anatomy } from '../../state/resources';

/** The sides of a survey. */
@Component({
  selector: 'rn-survey-nav',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Survey">
      @for (l of links; track l.word) {
        <a
          [routerLink]="['/i', held().of, 'survey', ...l.path]"
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
export class SurveyNav {
  protected readonly held = inject(Store).selectSignal(anatomy.select);
  protected readonly links = [
    { path: [], word: 'Dimensions' },
    { path: ['inspection'], word: 'Inspection' },
    { path: ['findings'], word: 'Findings' },
    { path: ['to-measure'], word: 'Still to measure' },
    { path: ['compare'], word: 'Compare' },
  ];
}
