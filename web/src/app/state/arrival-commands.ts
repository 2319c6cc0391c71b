import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { AnatomyRevision, Instrument, TakeReading } from '@rinnovo/contract';
import type { Plan } from '@rinnovo/core/check';
import { knownAt, type Anatomy } from '@rinnovo/core/instrument';
import type { Job, PlanRecord } from '@rinnovo/core/job';
import type { Target } from '@rinnovo/core/quantity';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Commands, type Typed } from './commands';
import { people, WORKSHOP } from './resources';

/** A size that was read when the instrument came in. */
export interface ReadAtTheDoor extends Omit<Typed, 'coarser'> {
  readonly target: Target;
}

/** All that is known of an instrument when it comes in. */
export interface Arriving {
  readonly instrument: Instrument;
  /** Somebody the workshop knows, or a new name; null: the workshop's own. */
  readonly owner: { readonly id: string | null; readonly name: string } | null;
  readonly anatomy: Anatomy;
  readonly readings: readonly ReadAtTheDoor[];
  readonly job: Job | null;
  /** Of the job. */
  readonly plan: Plan | null;
}

/** What is done at the door. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class ArrivalCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);

  /** Owner, instrument, anatomy, what was read, job and plan, in the order in which they name one another. */
  async arrive({ instrument, owner, anatomy, readings, job, plan }: Arriving): Promise<void> {
    await this.commands.startInstrument({ ...instrument, owner: await this.ownerId(owner) }, anatomy);
    for (const { target, value, raw, tool } of readings) {
      const body: TakeReading = {
        instrument: instrument.id,
        target,
        value,
        limit: tool.limit,
        raw,
        tool: tool.id,
        session: null,
        survey: null,
        corrects: null,
      };
      await firstValueFrom(this.api.create(`/readings/${crypto.randomUUID()}`, body));
    }
    if (!job) return;
    await firstValueFrom(this.api.create(`/jobs/${job.id}`, job));
    if (!plan) return;
    const { body } = await firstValueFrom(this.api.get<AnatomyRevision>(`/instruments/${instrument.id}/anatomy`));
    await firstValueFrom(this.api.create<PlanRecord>(`/jobs/${job.id}/plan`, { revisions: knownAt({ anatomy: body.revision }), plan }));
  }

  private async ownerId(owner: Arriving['owner']): Promise<string | null> {
    if (owner === null) return null;
    if (owner.id !== null) return owner.id;
    const id = crypto.randomUUID();
    await firstValueFrom(this.api.create(`/people/${id}`, { id, name: owner.name, role: 'owner' }));
    this.store.dispatch(people.load({ of: WORKSHOP }));
    return id;
  }
}
