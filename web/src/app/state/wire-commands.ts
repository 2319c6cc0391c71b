import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { CircuitRevision } from '@rinnovo/contract';
import type { Circuit } from '@rinnovo/core/wire';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { circuit } from './resources';

/** Keeps circuits. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class WireCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);

  /** The next revision of a circuit, on top of the one that was read; 0: there is none yet. */
  async keep(instrument: string, version: number, document: Circuit): Promise<void> {
    const path = `/instruments/${instrument}/circuit`;
    const { body } = await firstValueFrom(
      version === 0 ? this.api.create<CircuitRevision>(path, { document }) : this.api.change<CircuitRevision>(path, version, { document }),
    );
    this.store.dispatch(circuit.loaded({ of: instrument, data: body, version: body.revision }));
  }

  /** The circuit as an earlier revision had it. */
  async revision(instrument: string, revision: number): Promise<Circuit | null> {
    const { body } = await firstValueFrom(this.api.get<CircuitRevision>(`/instruments/${instrument}/circuit/${revision}`));
    return body.document;
  }

  /** What somebody else kept meanwhile. */
  reload(instrument: string): void {
    this.store.dispatch(circuit.load({ of: instrument }));
  }
}
