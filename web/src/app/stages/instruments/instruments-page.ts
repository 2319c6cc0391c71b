import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { problemText } from '../../api/api';
import { instruments, jobs, people, WORKSHOP } from '../../state/resources';
import { FirstPerson } from './first-person';

/** Every instrument of the workshop: find, open, describe a new one. */
@Component({
  selector: 'rn-instruments-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, FirstPerson],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <div class="head">
        <h1>Instruments</h1>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Find by label, maker, serial or notes</mat-label>
          <input matInput type="search" [value]="find()" (input)="search($event)" />
        </mat-form-field>
        <a matButton="filled" routerLink="/instruments/new">Describe an instrument</a>
      </div>
      @if (people().status === 'ready' && people().data?.length === 0) {
        <rn-first-person />
      }
      @switch (held().status) {
        @case ('failed') {
          <p class="problem" role="alert">{{ failure() }} <button matButton (click)="load()">Try again</button></p>
        }
        @default {
          @if (held().data === null) {
            <p role="status">Loading the instruments …</p>
          } @else if (rows().length === 0) {
            <p class="empty">
              {{
                find()
                  ? 'No instrument has that in its label, maker, serial or notes.'
                  : 'No instrument yet. Describe the first one: its sizes take about three minutes.'
              }}
            </p>
          } @else {
            <ul>
              @for (r of rows(); track r.i.id) {
                <li>
                  <a class="panel card" [routerLink]="['/i', r.i.id]">
                    <strong>{{ r.i.label }}</strong>
                    <span>{{ r.i.maker }} {{ r.i.model }} · {{ r.i.serial }}</span>
                    <span>{{ r.job?.title ?? 'no job yet' }}</span>
                    <span class="soft">{{ r.i.notes }}</span>
                    <span class="soft">{{ r.owner }}</span>
                  </a>
                </li>
              }
            </ul>
          }
        }
      }
    </main>
  `,
  styles: `
    main {
      max-width: 1180px;
      margin: 0 auto;
      padding: 1rem;
    }
    .head {
      display: flex;
      align-items: center;
      gap: 1rem;
      margin-block-end: 1rem;
    }
    .head mat-form-field {
      flex: 1;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
      gap: 1rem;
      padding: 0;
      list-style: none;
    }
    .card {
      display: grid;
      gap: 0.2rem;
      padding: 0.9rem 1rem;
      color: inherit;
      text-decoration: none;
    }
    .card:hover {
      background: var(--rn-tint);
    }
    .card strong {
      font-size: 1.2rem;
    }
  `,
})
export class InstrumentsPage {
  private readonly store = inject(Store);
  protected readonly held = this.store.selectSignal(instruments.select);
  protected readonly people = this.store.selectSignal(people.select);
  private readonly jobs = this.store.selectSignal(jobs.select);
  protected readonly find = signal('');
  protected readonly failure = computed(() => {
    const p = this.held().problem;
    return p ? problemText(p) : '';
  });
  protected readonly rows = computed(() => {
    const wanted = this.find().trim().toLowerCase();
    const names = new Map((this.people().data ?? []).map((p) => [p.id, p.name]));
    return (this.held().data ?? [])
      .map((i) => ({ i, job: this.jobs().data?.find((j) => j.instrument === i.id) ?? null, owner: i.owner === null ? '' : (names.get(i.owner) ?? '') }))
      .filter((r) => [r.i.label, r.i.maker, r.i.model, r.i.serial, r.i.notes, r.owner].join(' ').toLowerCase().includes(wanted));
  });

  constructor() {
    this.load();
  }

  protected load(): void {
    this.store.dispatch(instruments.load({ of: WORKSHOP }));
    this.store.dispatch(jobs.load({ of: WORKSHOP }));
  }

  protected search(event: Event): void {
    this.find.set((event.target as HTMLInputElement).value);
  }
}
