import type { Job, LedgerEntry } from '@rinnovo/core/job';
import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { LogStep, Photograph } from '@rinnovo/contract';
import type { StepCard } from '@rinnovo/core/gate';
import { valueOf } from '@rinnovo/core/measure';
import { exhaustMap, firstValueFrom, timer } from 'rxjs';
import { Api } from '../api/api';
import type { Typed } from './commands';
import { Meanwhile } from './meanwhile';
import { reloadBench } from './reload-bench';
import { ledger, lessons, photographs, WORKSHOP } from './resources';

/** How often it is asked how many pictures wait, ms. */
const ASK_EVERY = 700;

/** What is done at the machine: steps logged, and pictures of them. What it changed is loaded again. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class BenchCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly meanwhile = inject(Meanwhile);

  async logStep(
    job: Job,
    operation: string,
    card: StepCard,
    said: Pick<LogStep, 'outcome' | 'wrong' | 'note' | 'minutes' | 'counted' | 'unjudged'>,
    measured: Typed | null,
  ): Promise<LedgerEntry> {
    const body: LogStep = {
      operation,
      job: job.id,
      step: card.key,
      ...said,
      measured: measured && { value: measured.value, limit: measured.tool.limit, raw: measured.raw, tool: measured.tool.id },
      done: new Date().toISOString(),
      seen: Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)])),
    };
    const id = crypto.randomUUID();
    const { body: answer } = await firstValueFrom(this.api.create<{ entry: LedgerEntry }>(`/ledger/${id}`, body, () => this.meanwhile.step(id, body)));
    reloadBench(this.store, job.id, job.instrument);
    if (said.wrong?.lesson) this.store.dispatch(lessons.load({ of: WORKSHOP }));
    return answer.entry;
  }

  /** A step that was not done after all; the reason may be empty within a minute. */
  async takeStepBack(job: Job, entry: string, reason: string): Promise<void> {
    await firstValueFrom(this.api.create(`/ledger-corrections/${crypto.randomUUID()}`, { entry, reason }));
    reloadBench(this.store, job.id, job.instrument);
  }

  /** What was found by whoever looked at a step that was done without being judged. */
  async lookAt(job: Pick<Job, 'instrument'>, entry: string, found: string): Promise<void> {
    await firstValueFrom(this.api.create(`/ledger-looks/${crypto.randomUUID()}`, { entry, found }));
    this.store.dispatch(ledger.load({ of: job.instrument }));
  }

  /** A picture of a step; `image` is base64 of its file. The server reads one at a time: `waits` tells how many it reads before this one is in. */
  async takePhotograph(instrument: string, operation: string, step: string, image: string, waits: (pictures: number) => void): Promise<void> {
    const asked = timer(ASK_EVERY, ASK_EVERY).pipe(exhaustMap(() => this.api.get<{ waiting: number }>('/photographs/waiting')));
    const asking = asked.subscribe(({ body }) => waits(body.waiting));
    try {
      await firstValueFrom(this.api.create(`/photographs/${crypto.randomUUID()}`, { operation, step, image }));
    } finally {
      asking.unsubscribe();
    }
    this.store.dispatch(photographs.load({ of: instrument }));
  }

  /** Puts a picture away, or brings it back. Ends in its new version. */
  async removePhotograph(picture: Pick<Photograph, 'id' | 'instrument' | 'version'>, removed: boolean): Promise<number> {
    const { version } = await firstValueFrom(this.api.change(`/photographs/${picture.id}/removed`, picture.version, { removed }));
    this.store.dispatch(photographs.load({ of: picture.instrument }));
    return version ?? picture.version + 1;
  }
}
