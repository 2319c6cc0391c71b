import { Injectable, type OnDestroy } from '@angular/core';
import type { PlanState } from '@rinnovo/core/check';
import { Observable } from 'rxjs';
import type { BatchAnswer, BatchQuestion, BatchRequest, BatchState } from './batch-messages';

interface Hand {
  readonly worker: Worker;
  /** The key of the state that it holds. */
  key: string | null;
}

/** The one way to the batch workers, one for each kind of long question. Leaving a question before its end ends its worker; the next one begins with a new worker. */
@Injectable({ providedIn: 'root' })
export class BatchClient implements OnDestroy {
  private readonly hands = new Map<BatchQuestion['kind'], Hand>();
  private state: BatchState | null = null;

  /** The state that questions stand on; it goes to a worker with the first question that needs it. */
  hold(key: string, state: PlanState): void {
    if (this.state?.key !== key) this.state = { kind: 'state', key, state };
  }

  /** How far it is, then the result; ends without one when the state has gone on. Fails with what could not be worked out. */
  run(question: BatchQuestion): Observable<BatchAnswer> {
    return new Observable((to) => {
      const { state } = this;
      if (state?.key !== question.key) {
        to.complete();
        return undefined;
      }
      const hand = this.handFor(question.kind);
      if (hand.key !== state.key) hand.worker.postMessage(state satisfies BatchRequest);
      hand.key = state.key;
      let ended = false;
      hand.worker.onmessage = ({ data }: MessageEvent<BatchAnswer>) => {
        ended = data.kind !== 'progress';
        if (data.kind === 'failed') to.error(new Error(data.message));
        else to.next(data);
        if (ended) to.complete();
      };
      hand.worker.onerror = (event) => to.error(new Error(event.message));
      hand.worker.postMessage(question satisfies BatchRequest);
      return () => {
        if (!ended) this.end(question.kind);
      };
    });
  }

  ngOnDestroy(): void {
    for (const kind of [...this.hands.keys()]) this.end(kind);
  }

  private handFor(kind: BatchQuestion['kind']): Hand {
    const there = this.hands.get(kind);
    if (there) return there;
    const hand: Hand = { worker: new Worker(new URL('./sums.worker', import.meta.url), { type: 'module' }), key: null };
    this.hands.set(kind, hand);
    return hand;
  }

  private end(kind: BatchQuestion['kind']): void {
    this.hands.get(kind)?.worker.terminate();
    this.hands.delete(kind);
  }
}
