import { untracked, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { auditTime } from 'rxjs';

/** How long a number stands while the hand moves: quicker ones blur, ms. */
const STANDS = 300;

/** A changing value that stands long enough to be read. To be called where injection is possible. */
export function readable<T>(source: Signal<T>): Signal<T> {
  return toSignal(toObservable(source).pipe(auditTime(STANDS)), { initialValue: untracked(source) });
}
