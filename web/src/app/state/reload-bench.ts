import type { Store } from '@ngrx/store';
import { anatomy, ledger, readings, stock, work, WORKSHOP } from './resources';

/** Loads again all that a step may have changed. */
export function reloadBench(store: Pick<Store, 'dispatch'>, job: string, instrument: string): void {
  for (const held of [anatomy, readings, ledger]) store.dispatch(held.load({ of: instrument }));
  store.dispatch(work.load({ of: job }));
  store.dispatch(stock.load({ of: WORKSHOP }));
}
