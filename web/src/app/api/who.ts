import { Injectable, signal } from '@angular/core';

const KEY = 'rinnovo.person';

/** Who works here just now, remembered on this machine. */
@Injectable({ providedIn: 'root' })
export class Who {
  private readonly chosen = signal<string | null>(localStorage.getItem(KEY));
  readonly id = this.chosen.asReadonly();

  choose(id: string): void {
    localStorage.setItem(KEY, id);
    this.chosen.set(id);
  }
}
