// How the figures are taken: what workers answer and when, what the main thread does between frames.
import type { Page } from '@playwright/test';

const at = (sorted: readonly number[], share: number): number => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
const sort = (list: readonly number[]): readonly number[] => [...list].sort((a, b) => a - b);
export const tell = (what: string, list: readonly number[], unit = 'ms'): void => {
  const s = sort(list);
  console.log(`${what}: median ${at(s, 0.5).toFixed(2)} ${unit}, p95 ${at(s, 0.95).toFixed(2)} ${unit} (${s.length})`);
};

/** From now on a worker's answers to one kind of question are timed; before the page is opened. */
export async function watchWorker(page: Page, kind: string): Promise<void> {
  await page.addInitScript((watched) => {
    const Native = Worker;
    const w = window as unknown as Watched;
    w.waited = [];
    w.took = [];
    window.Worker = class extends Native {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        const sent = new Map<number, number>();
        const post = this.postMessage.bind(this) as (m: unknown) => void;
        this.postMessage = (m: { seq?: number; kind: string }) => {
          if (m.kind === watched) sent.set(m.seq ?? 0, performance.now());
          post(m);
        };
        this.addEventListener('message', ({ data }: MessageEvent<{ seq?: number; kind?: string; took?: number }>) => {
          const begun = sent.get(data.seq ?? 0);
          if (begun === undefined || data.kind === 'progress') return;
          sent.delete(data.seq ?? 0);
          w.waited.push(performance.now() - begun);
          w.took.push(data.took ?? NaN);
        });
      }
    };
  }, kind);
}

/** Takes hold of what moves on the map, and gives the way of leading it about: so many moves, as far as `across` and `along` from where it was. */
export async function takeHold(page: Page, across: number, along: number): Promise<(moves: number) => Promise<void>> {
  const path = page.locator('[data-moving] path').first();
  await path.waitFor();
  const box = await path.boundingBox();
  if (!box) throw new Error('nothing moves there');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  return async (moves) => {
    for (let i = 0; i < moves; i++) {
      await page.mouse.move(x + across * Math.sin(i / 9), y + along * Math.cos(i / 7));
      await page.waitForTimeout(16);
    }
  };
}

interface Watched {
  waited: number[];
  took: number[];
}

/** What was answered since the last time this was asked: in the worker, and from message to message. */
export async function answered(page: Page): Promise<{ readonly waited: readonly number[]; readonly took: readonly number[] }> {
  return page.evaluate(() => {
    const w = window as unknown as Watched;
    const { waited, took } = w;
    Object.assign(w, { waited: [], took: [] });
    return { waited, took };
  });
}

export interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  /** Time the thread really ran. */
  readonly tdur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly name?: string };
}

const WORK = new Set([
  'FunctionCall',
  'EventDispatch',
  'TimerFire',
  'FireAnimationFrame',
  'RunMicrotasks',
  'UpdateLayoutTree',
  'Layout',
  'PrePaint',
  'Paint',
  'Layerize',
  'Commit',
  'HandlePostMessage',
  'HitTest',
]);

/** The outermost working events of the page's main thread, summed by their name. */
export function byName(events: readonly TraceEvent[]): readonly (readonly [string, number])[] {
  const sums = new Map<string, number>();
  for (const e of outermost(events)) sums.set(e.name, (sums.get(e.name) ?? 0) + (e.tdur ?? e.dur ?? 0) / 1000);
  return [...sums].sort((a, b) => b[1] - a[1]).slice(0, 6);
}

/** Thread time of the outermost working events on the page's main thread between one frame and the next, ms. */
export function frames(events: readonly TraceEvent[]): number[] {
  const outer = outermost(events);
  const commits = outer.filter((e) => e.name === 'Commit').map((e) => e.ts + (e.dur ?? 0));
  return commits.slice(1).map((to, i) => outer.filter((e) => e.ts >= (commits[i] ?? 0) && e.ts < to).reduce((s, e) => s + (e.tdur ?? e.dur ?? 0), 0) / 1000);
}

function outermost(events: readonly TraceEvent[]): readonly TraceEvent[] {
  const main = events.find(
    (e) => e.name === 'thread_name' && e.args?.name === 'CrRendererMain' && events.some((f) => f.pid === e.pid && f.tid === e.tid && f.name === 'Commit'),
  );
  const mine = events.filter((e) => e.ph === 'X' && e.pid === main?.pid && e.tid === main.tid).sort((a, b) => a.ts - b.ts);
  const outer: TraceEvent[] = [];
  let end = 0;
  for (const e of mine) {
    if (!WORK.has(e.name) || e.ts < end) continue;
    outer.push(e);
    end = e.ts + (e.dur ?? 0);
  }
  return outer;
}
