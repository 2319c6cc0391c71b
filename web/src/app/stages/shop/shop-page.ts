import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { problemText } from '../../api/problem-of';
import { buyList, parts, shop, stock, WORKSHOP } from '../../state/resources';

/** What the shop has and lacks: buy list, drawers, tools, its numbers, people. */
@Component({
  selector: 'rn-shop-page',
  imports: [MatButtonModule, RouterLink, RouterLinkActive, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <h1 class="visually-hidden">Shop</h1>
      <nav aria-label="Shop">
        @for (p of pages; track p.path) {
          <a [routerLink]="['/shop', p.path]" routerLinkActive="here" ariaCurrentWhenActive="page">{{ p.word }}</a>
        }
      </nav>
      @if (failure(); as text) {
        <p class="problem" role="alert">{{ text }} <button matButton type="button" (click)="load()">Try again</button></p>
      } @else if (!ready()) {
        <p role="status">Loading the shop …</p>
      } @else {
        <router-outlet />
      }
    </main>
  `,
  styles: `
    main {
      display: grid;
      gap: 0.75rem;
      max-width: 1200px;
      margin: 0 auto;
      padding: 0.75rem 1rem;
    }
    nav {
      display: flex;
      border-block-end: 1px solid var(--rn-line);
    }
    nav a {
      min-height: 44px;
      padding: 0.6rem 1rem;
      color: var(--rn-ink-soft);
      text-decoration: none;
    }
    nav a.here {
      color: var(--rn-ink);
      font-weight: 600;
      box-shadow: inset 0 -3px var(--rn-plan);
    }
  `,
})
export class ShopPage {
  private readonly store = inject(Store);
  private readonly held = [shop, parts, stock, buyList].map((r) => this.store.selectSignal(r.select as typeof shop.select));
  protected readonly pages = [
    { path: 'buy', word: 'Buy list' },
    { path: 'drawers', word: 'Drawers' },
    { path: 'tools', word: 'Tools' },
    { path: 'settings', word: 'Settings' },
    { path: 'people', word: 'People' },
  ];
  protected readonly ready = computed(() => this.held.every((h) => h().data !== null));
  protected readonly failure = computed(() => {
    const failed = this.held.map((h) => h()).find((h) => h.status === 'failed' && h.data === null);
    return failed?.problem ? problemText(failed.problem) : null;
  });

  constructor() {
    this.load();
  }

  protected load(): void {
    for (const r of [shop, parts, stock, buyList]) this.store.dispatch(r.load({ of: WORKSHOP }));
  }
}
