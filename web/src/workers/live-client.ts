import { Injectable, type OnDestroy } from '@angular/core';
import type { PlanState } from '@rinnovo/core/check';
import type { Answer, LiveAnswer, LiveRequest } from './live-messages';

type Asking = Exclude<LiveRequest, { kind: 'state' }>;
type ResultOf<K extends Asking['kind']> = Extract<Answer, { ok: true; kind: K }>['result'];
type Question = Asking extends infer A ? (A extends Asking ? Omit<A, 'seq'> : never) : never;

interface Waiting {
  readonly request: Question;
  readonly resolve: (result: unknown) => void;
  readonly reject: (error: Error) => void;
}

/** A newer question of the same kind took its place. */
export class Superseded extends Error {}

/**
 * The one way to the live worker. One question runs, and of each kind one waits: the newest wins, the older is stated that it was superseded.
 * Answers carry the sequence number of their question.
 */
@Injectable({ providedIn: 'root' })
export class LiveClient implements OnDestroy {
  private readonly worker = new Worker(new URL('./sums.worker', import.meta.url), { type: 'module' });
  private readonly waiting = new Map<Asking['kind'], Waiting>();
  private running: { readonly seq: number; readonly by: Waiting } | null = null;
  private seq = 0;
  private key: string | null = null;

  constructor() {
    this.worker.onmessage = ({ data }: MessageEvent<LiveAnswer>) => this.take(data);
    this.worker.onerror = (event) => this.take({ seq: this.running?.seq ?? -1, ok: false, message: event.message });
  }

  /** Hands the worker a state, once for each key. */
  hold(key: string, state: PlanState): void {
    if (this.key === key) return;
    this.key = key;
    this.worker.postMessage({ seq: ++this.seq, kind: 'state', key, state } satisfies LiveRequest);
  }

  ask<K extends Asking['kind']>(request: Extract<Question, { kind: K }>): Promise<ResultOf<K>> {
    return new Promise<unknown>((resolve, reject) => {
      const kind = request.kind;
      this.waiting.get(kind)?.reject(new Superseded());
      this.waiting.set(kind, { request, resolve, reject });
      this.next();
    }) as Promise<ResultOf<K>>;
  }

  ngOnDestroy(): void {
    this.worker.terminate();
  }

  private next(): void {
    if (this.running) return;
    const entry = this.waiting.entries().next().value;
    if (!entry) return;
    const [kind, by] = entry;
    this.waiting.delete(kind);
    if (by.request.key !== this.key) {
      by.reject(new Superseded());
      this.next();
      return;
    }
    const seq = ++this.seq;
    this.running = { seq, by };
    this.worker.postMessage({ ...by.request, seq });
  }

  private take(answer: LiveAnswer): void {
    const { running } = this;
    if (running?.seq !== answer.seq) return;
    this.running = null;
    if (answer.ok) running.by.resolve(answer.result);
    else running.by.reject(new Error(answer.message));
    this.next();
  }
}
