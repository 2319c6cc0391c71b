import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
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

  async removeTool(tool: Tool, version: number): Promise<void> {
    await firstValueFrom(this.api.takeBack(`/shop/tools/${tool.id}`, version));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }

  async keepSettings(own: Readonly<Partial<Record<SettingKey, number>>>, version: number): Promise<void> {
    await firstValueFrom(this.api.change('/shop/settings', version, { own }));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }
}
