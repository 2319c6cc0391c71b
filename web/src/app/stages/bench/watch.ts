/** A stop-watch of one step: what it ran before, ms, and since when it runs now; null: it stands. */
export interface Watch {
  readonly of: string;
  readonly spent: number;
  readonly since: number | null;
}

export const elapsed = (w: Watch, now: number): number => w.spent + (w.since === null ? 0 : Math.max(0, now - w.since));

export const started = (w: Watch, now: number): Watch => ({ ...w, since: w.since ?? now });

export const stopped = (w: Watch, now: number): Watch => ({ ...w, spent: elapsed(w, now), since: null });

/** The watch of the next step: it begins at nothing, and goes on running where it ran. The same step keeps its own. */
export function watchOf(w: Watch | null, of: string, now: number): Watch {
  return w?.of === of ? w : { of, spent: 0, since: w && w.since !== null ? now : null };
}

/** Nobody stands at one step for so long: a watch that still runs was forgotten, ms. */
const FORGOTTEN = 12 * 3_600_000;

/** A watch that was kept while the page was away; one that was forgotten stands, without the hours that nobody worked. */
export function woken(w: Watch, now: number): Watch {
  return w.since !== null && now - w.since > FORGOTTEN ? { ...w, since: null } : w;
}

/** Minutes to a hundredth, as they are logged; null where it never ran. 90 000 ms: 1.5. */
export function minutesOf(w: Watch, now: number): number | null {
  const ms = elapsed(w, now);
  return ms > 0 ? Math.max(0.01, Math.round(ms / 600) / 100) : null;
}

/** 75 000 ms: 1:15. */
export function clockText(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  const two = (n: number): string => String(n).padStart(2, '0');
  const minutes = Math.floor(seconds / 60);
  return minutes < 60 ? `${minutes}:${two(seconds % 60)}` : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(seconds % 60)}`;
}
