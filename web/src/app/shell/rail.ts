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
    @media (width < 900px) {
      :host {
        position: fixed;
        inset: auto 0 0;
        z-index: 5;
        background: var(--rn-paper);
      }
      nav {
        flex-direction: row;
        overflow-x: auto;
        scrollbar-width: none;
        border-inline-end: 0;
        border-block-start: 1px solid var(--rn-line);
      }
      nav a {
        flex: 1 1 0;
        width: auto;
        min-width: 44px;
        min-height: 52px;
        padding: 0.3rem 0;
        border-inline-start: 0;
        font-size: 0.75rem;
      }
    }
    a.here {
      color: var(--rn-ink);
      font-weight: 600;
      background: var(--rn-tint);
      border-inline-start-color: var(--rn-plan);
    }
    @media (width < 900px) {
      nav a.here {
        font-weight: 400;
        box-shadow: inset 0 3px var(--rn-plan);
      }
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
