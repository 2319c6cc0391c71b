import { computed, inject, linkedSignal, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Choice } from '@rinnovo/core/check';
import { tiredAt } from '@rinnovo/core/gate';
import { gateGround } from '@rinnovo/core/house';
import { localeInUse } from '@rinnovo/words';
import { lapsedSince, stillAgreed, type Said } from '@rinnovo/core/job';
import { attempt } from '../ui/attempt';
import type { GateShown } from '../ui/gate-panel';
import { Commands } from './commands';
import { selectJobInHand, selectStanding } from './job-in-hand';
import { planFeature } from './plan.feature';
import { anatomy } from './resources';
import { resultsFeature } from './results.feature';
import { selectChoice, selectDecision, selectEvaluation, selectJob, selectNames, selectPlan, selectPlanState, selectRevisions } from './selectors';

/** The gate of the choice that is looked at, as a page shows it. */
export interface GateOnScreen {
  readonly shown: Signal<GateShown>;
  /** Clears the cut on what somebody said. */
  readonly clear: (said: Said) => Promise<void>;
}

/** To be called where a component is made. */
export function gateOnScreen(): GateOnScreen {
  const store = inject(Store);
  const commands = inject(Commands);
  const one = attempt();
  const choice = store.selectSignal(selectChoice);
  const decision = store.selectSignal(selectDecision);
  const evaluation = store.selectSignal(selectEvaluation);
  const state = store.selectSignal(selectPlanState);
  const cutting = store.selectSignal(resultsFeature.selectCutting);
  const plan = store.selectSignal(selectPlan);
  const inHand = store.selectSignal(selectJobInHand);
  const job = store.selectSignal(selectJob);
  const kept = store.selectSignal(planFeature.selectPlanState);
  const held = store.selectSignal(anatomy.select);
  const known = store.selectSignal(selectRevisions);
  /** The passes of the choice; undefined until they are worked out. */
  const passes = (of: Choice) => {
    if (!of.route) return null;
    const worked = cutting();
    return worked?.choice === of.id && worked.plan === plan() ? worked.result : undefined;
  };
  const now = computed((): GateShown['asked'] => {
    const [c, d, e, s] = [choice(), decision(), evaluation(), state()];
    const worked = c ? passes(c) : undefined;
    if (!c || !d || !e || !s || worked === undefined) return null;
    const today = new Date();
    const tired = tiredAt({ now: today, timeZone: localeInUse().timeZone, settings: s.settings, worked: inHand().ledger });
    return { decision: d.id, ground: gateGround(inHand(), { decision: d.id, choice: c, evaluation: e, state: s, cutting: worked, today, tired }) };
  });
  const asked = linkedSignal<{ of: string | null; now: GateShown['asked'] }, GateShown['asked']>({
    source: () => ({ of: decision()?.id ?? null, now: now() }),
    computation: (is, before) => {
      const last = before?.value ?? null;
      return is.now ?? (last?.decision === is.of ? last : null);
    },
  });
  const clear = async (said: Said): Promise<void> => {
    const [j, d, revisions, verdicts] = [job(), decision(), known(), evaluation()?.verdicts];
    if (!j || !d || !revisions || !verdicts) return;
    const { record, saving } = kept();
    if (saving !== 'saved' || !record) {
      one.problem.set('The plan is still being saved. Try again in a moment.');
      return;
    }
    await one.run(() => commands.clearToCut({ job: j, decision: d, plan: record, revisions, said, verdicts }));
  };
  const standing = store.selectSignal(selectStanding);
  const names = store.selectSignal(selectNames);
  const lapsed = computed(() => {
    const [given, ground] = [standing(), asked()?.ground];
    return given && ground ? lapsedSince(given, ground) : [];
  });
  const holds = computed(() => {
    const [given, ground] = [standing(), asked()?.ground];
    return given && ground ? stillAgreed(given, given.decision, ground.evaluation) : null;
  });
  const shown = computed((): GateShown => ({
    decided: decision() !== null,
    standing: standing(),
    lapsed: lapsed(),
    holds: holds(),
    // while the sums run what was asked last of the same decision stands
    asked: asked(),
    fresh: now() !== null,
    names: names(),
    instrument: held().of ?? '',
    busy: one.busy(),
    problem: one.problem(),
  }));
  return { shown, clear };
}
