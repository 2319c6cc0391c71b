import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { clockText, elapsed, minutesOf, started, stopped, watchOf, woken, type Watch } from './watch';

/** Where a running watch outlives a reload. */
const KEPT = 'rinnovo-watch';
/** As long as the server takes, minutes. */
const MOST = 6000;

function kept(): Watch | null {
  try {
    const w = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as Partial<Watch> | null;
    const fits = typeof w?.of === 'string' && typeof w.spent === 'number' && (w.since === null || typeof w.since === 'number');
    return fits ? woken(w as Watch, Date.now()) : null;
  } catch {
    return null;
  }
}

/** The stop-watch of the step at hand, or its minutes as typed; it goes on from step to step until it is stopped. */
@Component({
  selector: 'rn-stop-watch',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button matButton="outlined" type="button" [attr.aria-label]="running() ? 'Stop the stop-watch' : 'Start the stop-watch'" (click)="toggle()">
      {{ running() ? 'Stop' : 'Start' }} <span class="clock number" role="timer">{{ clock() }}</span>
    </button>
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>Minutes</mat-label>
      <input matInput inputmode="decimal" autocomplete="off" [placeholder]="hint()" [value]="text()" (input)="type($event)" />
    </mat-form-field>
    @if (problem(); as p) {
      <span class="problem" role="alert">{{ p }}</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
    }
    mat-form-field {
      width: 7rem;
    }
    .clock {
      display: inline-block;
      min-width: 4ch;
    }
  `,
})
export class StopWatch {
  /** What is timed: the operation and its step. */
  readonly of = input.required<string>();
  private readonly watch = signal<Watch | null>(kept());
  private readonly now = signal(Date.now());
  protected readonly text = signal('');
  protected readonly running = computed(() => this.watch()?.since != null);
  protected readonly clock = computed(() => {
    const w = this.watch();
    return clockText(w ? elapsed(w, this.now()) : 0);
  });
  protected readonly hint = computed(() => (this.running() ? 'from the stop-watch' : ''));
  private readonly typed = computed(() => {
    const text = this.text().trim().replace(',', '.');
    return text === '' ? null : Number(text);
  });
  readonly problem = computed(() => {
    const t = this.typed();
    return t !== null && !(t >= 0 && t <= MOST) ? `Type minutes from 0 to ${MOST}` : null;
  });

  constructor() {
    const tick = setInterval(() => {
      if (this.running()) this.now.set(Date.now());
    }, 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(tick));
    effect(() => {
      const of = this.of();
      untracked(() => {
        const was = this.watch();
        const next = watchOf(was, of, Date.now());
        if (next === was) return;
        this.text.set('');
        this.put(next);
      });
    });
  }

  /** What is logged: as typed, else as timed, else nothing. */
  minutes(): number | null {
    const w = this.watch();
    return this.typed() ?? (w ? minutesOf(w, Date.now()) : null);
  }

  protected toggle(): void {
    const now = Date.now();
    const w = this.watch() ?? watchOf(null, this.of(), now);
    this.put(w.since === null ? started(w, now) : stopped(w, now));
  }

  protected type(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
  }

  private put(w: Watch): void {
    this.watch.set(w);
    this.now.set(Date.now());
    try {
      localStorage.setItem(KEPT, JSON.stringify(w));
    } catch {
      // a browser that keeps nothing times all the same
    }
  }
}
