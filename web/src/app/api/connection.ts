import { HttpErrorResponse, HttpResponse, type HttpInterceptorFn } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { retry, tap, timer, throwError } from 'rxjs';

/** Whether the server answers; while it does not, requests wait here and go on by themselves. */
@Injectable({ providedIn: 'root' })
export class Connection {
  private readonly state = signal<'here' | 'away'>('here');
  readonly current = this.state.asReadonly();

  set(state: 'here' | 'away'): void {
    if (this.state() !== state) this.state.set(state);
  }
}

const AWAY = new Set([0, 502, 503, 504]);

/** Sends a request again while the server is away: the write id in its headers makes that safe. */
export const waitForServer: HttpInterceptorFn = (req, next) => {
  const connection = inject(Connection);
  return next(req).pipe(
    retry({
      delay: (error: unknown, count) => {
        if (!(error instanceof HttpErrorResponse) || !AWAY.has(error.status)) return throwError(() => error);
        connection.set('away');
        return timer(Math.min(5000, 500 * 2 ** (count - 1)));
      },
    }),
    tap({ next: (event) => event instanceof HttpResponse && connection.set('here'), error: () => connection.set('here') }),
  );
};
