import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Icon, type IconName } from '../ui/icon';
import { STAGES } from './keys';

/** The stages of an instrument, in the order of the work. */
@Component({
  selector: 'rn-rail',
  imports: [RouterLink, RouterLinkActive, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Stages">
      @for (s of stages; track s.path) {
        <a [routerLink]="['/i', instrument(), s.path]" routerLinkActive="here" ariaCurrentWhenActive="page" [title]="s.question">
          <rn-icon [name]="icon(s.path)" />
          <span>{{ s.label }}</span>
        </a>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      flex-direction: column;
      height: 100%;
      border-inline-end: 1px solid var(--rn-line);
    }
    a {
      display: grid;
      justify-items: center;
      gap: 0.15rem;
      width: 80px;
      padding: 0.7rem 0.25rem;
      color: var(--rn-ink-soft);
      text-decoration: none;
      border-inline-start: 4px solid transparent;
    }
    a:hover {
      background: var(--rn-tint);
    }
    a.here {
      color: var(--rn-ink);
      font-weight: 600;
      background: var(--rn-tint);
      border-inline-start-color: var(--rn-plan);
    }
  `,
})
export class Rail {
  readonly instrument = input.required<string>();
  protected readonly stages = STAGES;

  protected icon(path: string): IconName {
    return path as IconName;
  }
}
