import type { Job, LedgerEntry } from '@rinnovo/core/job';
import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { LogStep, Photograph } from '@rinnovo/contract';
import type { StepCard } from '@rinnovo/core/gate';
import { valueOf } from '@rinnovo/core/measure';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import type { Typed } from './commands';
import { anatomy, ledger, lessons, photographs, readings, stock, work, WORKSHOP } from './resources';

/** What is done at the machine: steps logged, and pictures of them. What it changed is loaded again. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class BenchCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);

  async logStep(
    job: Job,
    operation: string,
    card: StepCard,
    said: Pick<LogStep, 'outcome' | 'wrong' | 'note' | 'minutes' | 'counted'>,
    measured: Typed | null,
  ): Promise<LedgerEntry> {
    const body: LogStep = {
      operation,
      job: job.id,
      step: card.key,
      ...said,
      measured: measured && { value: measured.value, limit: measured.tool.limit, raw: measured.raw, tool: measured.tool.id },
      seen: Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)])),
    };
    const { body: answer } = await firstValueFrom(this.api.create<{ entry: LedgerEntry }>(`/ledger/${crypto.randomUUID()}`, body));
    const of = job.instrument;
    for (const held of [anatomy, readings, ledger]) this.store.dispatch(held.load({ of }));
    this.store.dispatch(work.load({ of: job.id }));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
    if (said.wrong?.lesson) this.store.dispatch(lessons.load({ of: WORKSHOP }));
    return answer.entry;
  }

  /** A picture of a step; `image` is base64 of its file. */
  async takePhotograph(instrument: string, operation: string, step: string, image: string): Promise<void> {
    await firstValueFrom(this.api.create(`/photographs/${crypto.randomUUID()}`, { operation, step, image }));
    this.store.dispatch(photographs.load({ of: instrument }));
  }

  /** Puts a picture away, or brings it back. Ends in its new version. */
  async removePhotograph(picture: Pick<Photograph, 'id' | 'instrument' | 'version'>, removed: boolean): Promise<number> {
    const { version } = await firstValueFrom(this.api.change(`/photographs/${picture.id}/removed`, picture.version, { removed }));
    this.store.dispatch(photographs.load({ of: picture.instrument }));
    return version ?? picture.version + 1;
  }
}
