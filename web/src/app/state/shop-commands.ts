import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Shop } from '@rinnovo/contract';
import type { SettingKey } from '@rinnovo/core/operation';
import type { Tool } from '@rinnovo/core/part';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { shop, WORKSHOP } from './resources';

/** What is done to the shop's tools and numbers; it is loaded again afterwards. Rejects with the API's error. */
@Injectable({ providedIn: 'root' })
export class ShopCommands {
  private readonly api = inject(Api);
  private readonly store = inject(Store);

  async keepTool(tool: Tool, version: number | null): Promise<void> {
    const path = `/shop/tools/${tool.id}`;
    await firstValueFrom(version === null ? this.api.create(path, tool) : this.api.change(path, version, tool));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }

  /** New tools, one after another; `kept` tells how many are in. One that is there already (a second try) is passed over. */
  async keepTools(tools: readonly Tool[], kept: (count: number) => void): Promise<void> {
    const there = new Set((await firstValueFrom(this.api.get<Shop>('/shop'))).body.tools.map((t) => t.id));
    try {
      for (const [i, tool] of tools.entries()) {
        if (!there.has(tool.id)) await firstValueFrom(this.api.create(`/shop/tools/${tool.id}`, tool));
        kept(i + 1);
      }
    } finally {
      this.store.dispatch(shop.load({ of: WORKSHOP }));
    }
  }

  async removeTool(tool: Tool, version: number): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/shop/tools/${tool.id}`, version));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }

  async keepSettings(own: Readonly<Partial<Record<SettingKey, number>>>, version: number): Promise<void> {
    await firstValueFrom(this.api.change('/shop/settings', version, { own }));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }
}
