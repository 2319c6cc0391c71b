import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { KeptPart, KeptStock } from '@rinnovo/contract';
import type { Part, StockItem } from '@rinnovo/core/part';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { parts, stock, WORKSHOP } from './resources';

/** What is done to the shelf and the drawers; each loads again what it changed. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class ShelfCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);

  /** Keeps a part as it is now; `version` is the one that was read, null for a new part. */
  async keep(part: Part, version: number | null): Promise<KeptPart> {
    const path = `/parts/${part.id}`;
    const { body } = await firstValueFrom(version === null ? this.api.create<KeptPart>(path, part) : this.api.change<KeptPart>(path, version, part));
    this.store.dispatch(parts.load({ of: WORKSHOP }));
    return body;
  }

  async archive({ part, version }: KeptPart, archived: boolean): Promise<KeptPart> {
    const { body } = await firstValueFrom(this.api.change<KeptPart>(`/parts/${part.id}/archived`, version, { archived }));
    this.store.dispatch(parts.load({ of: WORKSHOP }));
    return body;
  }

  /** Parts of a table, one after another: new ones are made, known ones changed. Stops before the next one when asked; tells how many are kept. */
  async keepAll(list: readonly Part[], known: Readonly<Record<string, KeptPart>>, kept: (count: number) => void, stop: () => boolean): Promise<void> {
    try {
      for (const [i, part] of list.entries()) {
        if (stop()) return;
        const old = known[part.id];
        const path = `/parts/${part.id}`;
        await firstValueFrom(old ? this.api.change(path, old.version, part) : this.api.create(path, part));
        kept(i + 1);
      }
    } finally {
      this.store.dispatch(parts.load({ of: WORKSHOP }));
    }
  }

  async keepStock(item: StockItem, version: number | null): Promise<KeptStock> {
    const path = `/stock/${item.id}`;
    const { body } = await firstValueFrom(version === null ? this.api.create<KeptStock>(path, item) : this.api.change<KeptStock>(path, version, item));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
    return body;
  }

  async removeStock({ item, version }: KeptStock): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/stock/${item.id}`, version));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
  }
}
