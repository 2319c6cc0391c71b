import { ChangeDetectionStrategy, Component, DestroyRef, DOCUMENT, effect, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { people, WORKSHOP } from '../state/resources';
import { DARK, rememberView, viewActions, viewFeature } from '../state/view.feature';
import { OutboxPanel } from './outbox-panel';
import { Shortcuts } from './shortcuts';
import { TopBar } from './top-bar';

/** The frame round every page: top bar, what the connection is doing, the page. */
@Component({
  selector: 'rn-root',
  imports: [OutboxPanel, RouterOutlet, TopBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a class="skip" href="#page">Skip to the page</a>
    <rn-top-bar (keys)="shortcuts.showMap()" />
    <rn-outbox-panel class="away" />
    <div class="page" id="page" tabindex="-1"><router-outlet /></div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: auto auto 1fr;
      height: 100dvh;
    }
    .page {
      grid-row: 3;
      min-height: 0;
      overflow: auto;
      outline: none;
    }
    .away {
      grid-row: 2;
    }
    .skip {
      position: absolute;
      inset-inline-start: -999px;
    }
    .skip:focus {
      inset-inline-start: 0.5rem;
      inset-block-start: 0.5rem;
      z-index: 10;
      padding: 0.6rem 1rem;
      background: var(--rn-sheet);
    }
    @media (width < 900px) {
      :host {
        display: block;
        height: auto;
      }
      .page {
        overflow: visible;
      }
    }
    @media print {
      :host {
        display: block;
        height: auto;
      }
      .page {
        overflow: visible;
      }
    }
  `,
})
export class Root {
  protected readonly shortcuts = inject(Shortcuts);

  constructor() {
    const store = inject(Store);
    const document = inject(DOCUMENT);
    const view = store.selectSignal(viewFeature.selectViewState);
    const theme = store.selectSignal(viewFeature.selectTheme);
    const turned = ({ matches }: { readonly matches: boolean }): void => store.dispatch(viewActions.systemTurned({ system: matches ? 'dark' : 'light' }));
    DARK.addEventListener('change', turned);
    inject(DestroyRef).onDestroy(() => DARK.removeEventListener('change', turned));
    effect(() => {
      document.documentElement.dataset['theme'] = theme();
      rememberView(view());
    });
    store.dispatch(people.load({ of: WORKSHOP }));
  }
}
