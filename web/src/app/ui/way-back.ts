import { Injectable, signal } from '@angular/core';

/** Where somebody came from to do one thing elsewhere: the page, what it is called, and the line there. */
export interface Back {
  readonly url: string;
  readonly word: string;
  readonly line: string;
}

/** The way back from where something missing is done to the line that asked for it. */
@Injectable({ providedIn: 'root' })
export class WayBack {
  readonly back = signal<Back | null>(null);

  /** The line that is come back to; null when it was not from here. Asked once. */
  arrive(url: string): string | null {
    const back = this.back();
    if (back?.url !== url) return null;
    this.back.set(null);
    return back.line;
  }
}
