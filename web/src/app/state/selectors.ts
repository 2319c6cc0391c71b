import { createSelector } from '@ngrx/store';
import type { ToldReading } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { PlanState } from '@rinnovo/core/check';
import type { BenchInput } from '@rinnovo/core/gate';
import { RULES } from '@rinnovo/core/order';
import { isPickup, type Pickup, type Shelf, type StockItem } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import { readingsIn, stateOf, surveyedOf } from '@rinnovo/core/survey';
import { namesOf } from '@rinnovo/words';
import { planFeature } from './plan.feature';
import { anatomy, instrument, jobs, ledger, parts, readings, shop, stock, surveys, work } from './resources';
import { resultsFeature } from './results.feature';
import { surveyFeature } from './survey.feature';

export const selectAnatomy = createSelector(anatomy.select, (a): Anatomy | null => a.data?.now.document ?? null);
/** Seen from the top a left-handed instrument is mirrored. */
export const selectLeftHanded = createSelector(selectAnatomy, (a) => a?.handed === 'left');
/** Every part by its id, what is put away too. */
export const selectParts = createSelector(parts.select, (p): Shelf => Object.fromEntries(Object.entries(p.data ?? {}).map(([id, k]) => [id, k.part])));
/** The pickups that can be chosen. */
export const selectPickups = createSelector(parts.select, (p): readonly Pickup[] =>
  Object.values(p.data ?? {}).flatMap((k) => (!k.away && isPickup(k.part) ? [k.part] : [])),
);
/** What lies in the drawers. */
export const selectStock = createSelector(stock.select, (s): readonly StockItem[] => (s.data ?? []).map((k) => k.item));
export const selectNames = createSelector(selectAnatomy, selectParts, (a, p) => namesOf(a, p));
export const selectDraft = planFeature.selectDraft;

export const selectJob = createSelector(jobs.select, anatomy.select, (j, a) => j.data?.find((x) => x.instrument === a.of && x.active) ?? null);

/** What was decided and is to be done in the active job; nothing of another instrument's. */
export const selectWork = createSelector(work.select, selectJob, (w, job) => (w.of !== null && w.of === job?.id ? w.data : null));

/** What has come of everything that a plan is evaluated from; null until all of it is here. */
const selectGround = createSelector(
  anatomy.select,
  parts.select,
  stock.select,
  shop.select,
  (a, p, d, s) => a.data && p.data && d.data && s.data && { anatomy: a, parts: p.data, stock: d.data, shop: s.data },
);

/** Everything the core evaluates a plan from; null until all of it is here. */
export const selectPlanState = createSelector(selectGround, selectParts, selectStock, planFeature.selectDraft, (g, parts, stock, draft): PlanState | null =>
  g?.anatomy.data ? { anatomy: g.anatomy.data.now.document, parts, stock, settings: g.shop.settings, leadsWanted: draft?.leadsWanted ?? 2 } : null,
);

/** What the state is called in the worker: it changes when the instrument, the shelf, the drawers or the shop do, not while the plan is moved. */
export const selectStateKey = createSelector(selectGround, (g) => {
  const of = (list: readonly { readonly version: number }[] | null | undefined): string =>
    `${list?.length ?? 0}.${(list ?? []).reduce((n, x) => n + x.version, 0)}`;
  return [g?.anatomy.of, g?.anatomy.version, of(g && Object.values(g.parts)), of(g?.stock), g?.shop.version].join('/');
});

export const selectReadings = createSelector(readings.select, (r): readonly Reading[] => (r.data ?? []).flatMap(readable));
/** The surveys of the instrument on the screen; nothing of another's. */
export const selectSurveys = createSelector(surveys.select, anatomy.select, (s, a) => (s.of === a.of ? (s.data ?? []) : []));
/** The one survey that takes readings. */
export const selectOpenSurvey = createSelector(selectSurveys, (s) => s.find((x) => x.signed === null) ?? null);
/** The survey that is looked at. */
export const selectSurveyInView = createSelector(
  selectSurveys,
  selectOpenSurvey,
  surveyFeature.selectChosen,
  (all, open, chosen) => all.find((s) => s.id === chosen) ?? open ?? all.at(-1) ?? null,
);

/** The instrument as a survey asks about it; null until it is here. */
export const selectSurveyed = createSelector(selectAnatomy, instrument.select, (a, i) => (a && i.data ? surveyedOf(a, i.data) : null));

/** What the readings of the survey in view say of the instrument's state; before the first survey all of them; null until it is here. */
export const selectSurvey = createSelector(selectSurveyed, selectReadings, selectSurveyInView, (surveyed, all, survey) =>
  surveyed ? stateOf(surveyed, survey ? readingsIn(survey.id, all) : all) : null,
);

/** A reading that is being taken again blind says nothing meanwhile. */
function readable(r: ToldReading): readonly Reading[] {
  return r.value === null || r.raw === null ? [] : [{ ...r, value: r.value, raw: r.raw }];
}

export const selectTools = createSelector(shop.select, (s) => s.data?.tools ?? []);
/** All that the worker computes from, in one piece: never half of an old and half of a new state. */
export const selectComputable = createSelector(selectPlanState, selectStateKey, selectTools, planFeature.selectDraft, (state, key, tools, plan) =>
  state && plan && state.anatomy.positions.some((p) => p.id === plan.position) ? { state, key, tools, plan } : null,
);
export const selectLive = createSelector(resultsFeature.selectLive, (l) => l?.result ?? null);

/** The evaluation with its workings, when it is that of the plan and state of the newest verdicts. */
export const selectEvaluation = createSelector(resultsFeature.selectLive, resultsFeature.selectFull, (live, full) =>
  full && (!live || (live.key === full.key && live.plan === full.plan)) ? full.result : null,
);
export const selectVerdicts = createSelector(selectLive, selectEvaluation, (live, full) => full?.verdicts ?? live?.verdicts ?? []);
export const selectDecision = createSelector(selectWork, (w) => w?.decisions.find((d) => d.undoneAt === null) ?? null);
export const selectOperations = createSelector(selectWork, (w) => w?.operations ?? []);

/** The newest clearance, unless the plan was changed or something went wrong after it. */
export const selectStanding = createSelector(selectWork, ledger.select, planFeature.selectRecord, (w, l, record) => {
  const newest = w?.clearances.at(-1);
  if (!newest || newest.planVersion !== record?.version) return null;
  return l.data?.some((e) => e.outcome === 'wentWrong' && e.at > newest.at) ? null : newest;
});

export const selectBenchInput = createSelector(selectWork, ledger.select, selectStanding, (w, l, standing): Omit<BenchInput, 'state' | 'plan' | 'tools'> => ({
  operations: w?.operations ?? [],
  rules: RULES,
  waivers: w?.waivers ?? [],
  log: (l.data ?? []).map((e) => ({ operation: e.operation, step: e.step, outcome: e.outcome, measured: e.measured?.value ?? null, at: e.at })),
  clear: standing !== null,
}));
