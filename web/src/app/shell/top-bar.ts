import { ChangeDetectionStrategy, Component, computed, effect, inject, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import type { LengthUnit } from '@rinnovo/core/measure';
import { Who } from '../api/who';
import { people } from '../state/resources';
import { viewActions, viewFeature } from '../state/view.feature';
import { Icon } from '../ui/icon';

@Component({
  selector: 'rn-top-bar',
  imports: [RouterLink, RouterLinkActive, MatButtonModule, MatButtonToggleModule, MatSelectModule, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <a class="name" routerLink="/instruments">Rinnovo</a>
      <nav aria-label="Workshop">
        <a routerLink="/instruments" routerLinkActive="here" ariaCurrentWhenActive="page">Instruments</a>
        <a routerLink="/shelf" routerLinkActive="here" ariaCurrentWhenActive="page">Part shelf</a>
        <a routerLink="/shop" routerLinkActive="here" ariaCurrentWhenActive="page">Shop</a>
      </nav>
      <span class="space"></span>
      <mat-button-toggle-group [value]="unit()" (change)="chooseUnit($event.value)" aria-label="Unit of length" hideSingleSelectionIndicator>
        <mat-button-toggle value="mm">mm</mat-button-toggle>
        <mat-button-toggle value="fraction">1/64 in</mat-button-toggle>
        <mat-button-toggle value="inch">.001 in</mat-button-toggle>
        <mat-button-toggle value="thou">thou</mat-button-toggle>
      </mat-button-toggle-group>
      <mat-form-field class="who" subscriptSizing="dynamic">
        <mat-select [value]="who.id()" (valueChange)="who.choose($event)" aria-label="Who works here" placeholder="Who works here?">
          @for (p of technicians(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <button matIconButton aria-label="Light or dark" (click)="turnTheme()"><rn-icon name="theme" /></button>
      <button matIconButton aria-label="Keys" (click)="keys.emit()"><rn-icon name="keys" /></button>
    </header>
  `,
  styles: `
    header {
      display: flex;
      align-items: center;
      gap: 0.75rem;
      padding: 0.25rem 1rem;
      border-block-end: 1px solid var(--rn-line);
    }
    .name {
      font-size: 1.35rem;
      font-weight: 600;
      letter-spacing: 0.02em;
      color: var(--rn-ink);
      text-decoration: none;
      padding: 0.5rem 0;
    }
    nav {
      display: flex;
    }
    nav a {
      display: grid;
      align-content: center;
      min-height: 44px;
      padding-inline: 0.75rem;
      color: var(--rn-ink-soft);
      text-decoration: none;
    }
    nav a.here {
      color: var(--rn-ink);
      font-weight: 600;
      box-shadow: inset 0 -3px var(--rn-plan);
    }
    .space {
      flex: 1;
    }
    .who {
      width: 14rem;
    }
    @media (width < 1000px) {
      header {
        flex-wrap: wrap;
        gap: 0.25rem;
        padding-inline: 0.5rem;
      }
      .name {
        font-size: 1.15rem;
      }
      nav a {
        padding-inline: 0.4rem;
      }
      .space {
        display: none;
      }
      .who {
        flex: 1 1 5rem;
        width: auto;
        min-width: 0;
      }
    }
  `,
})
export class TopBar {
  readonly keys = output();
  protected readonly who = inject(Who);
  private readonly store = inject(Store);
  protected readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly all = this.store.selectSignal(people.select);
  protected readonly technicians = computed(() => (this.all().data ?? []).filter((p) => p.role === 'technician'));

  constructor() {
    effect(() => {
      const list = this.technicians();
      const first = list[0];
      if (first && !list.some((p) => p.id === this.who.id())) this.who.choose(first.id);
    });
  }

  protected chooseUnit(unit: LengthUnit): void {
    this.store.dispatch(viewActions.chooseUnit({ unit }));
  }

  protected turnTheme(): void {
    this.store.dispatch(viewActions.turnTheme());
  }
}
