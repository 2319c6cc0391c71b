import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { priceWithWork } from '@rinnovo/core/remedy';
import { moneyText } from '@rinnovo/words';
import type { Answer, OwnerAsked } from '../ui/ask-owner';
import { attempt } from '../ui/attempt';
import { Commands } from './commands';
import { shop } from './resources';
import { selectDecision, selectJob } from './selectors';

/** What the owner is asked about the choice that is looked at. */
export interface OwnerOnScreen {
  readonly shown: Signal<OwnerAsked>;
  readonly keep: (said: Answer) => Promise<void>;
}

/** To be called where a component is made. */
export function ownerOnScreen(): OwnerOnScreen {
  const store = inject(Store);
  const commands = inject(Commands);
  const one = attempt();
  const decision = store.selectSignal(selectDecision);
  const job = store.selectSignal(selectJob);
  const held = store.selectSignal(shop.select);
  const price = computed(() => {
    const d = decision();
    const settings = held().data?.settings;
    const chosen = d?.options.find((o) => o.id === d.option);
    return settings && chosen ? moneyText(priceWithWork(chosen.price, chosen.minutes, settings)) : '—';
  });
  const keep = async (said: Answer): Promise<void> => {
    const [j, d] = [job(), decision()];
    if (j && d) await one.run(() => commands.keepConsent(j, d, said));
  };
  const shown = computed((): OwnerAsked => ({ price: price(), busy: one.busy(), problem: one.problem() }));
  return { shown, keep };
}
