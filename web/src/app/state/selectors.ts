import { doneOf, settingsWith, type Operation } from '@rinnovo/core/operation';
import { createSelector } from '@ngrx/store';
import type { ShownReading } from '@rinnovo/contract';
import { knownAt, type Anatomy, type Revisions } from '@rinnovo/core/instrument';
import { choiceOf, isPickupChoice, ofChoice, type Choice, type PickupChoice, type PlanState, type Verdict } from '@rinnovo/core/check';
import { choiceNow } from '@rinnovo/core/job';
import { isPickup, type Pickup, type Shelf, type StockItem } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import type { Circuit } from '@rinnovo/core/wire';
import { readingsIn, stateOf, surveyedOf } from '@rinnovo/core/survey';
import { nameOf, namesOf, placeOfChoice, upperFirst, WHOLE } from '@rinnovo/words';
import { planFeature } from './plan.feature';
import { anatomy, circuit, instrument, jobs, parts, people, readings, shop, stock, surveys, work } from './resources';
import { resultsFeature } from './results.feature';
import { surveyFeature } from './survey.feature';

export const selectAnatomy = createSelector(anatomy.select, (a): Anatomy | null => a.data?.now.document ?? null);
/** Seen from the top a left-handed instrument is mirrored. */
export const selectLeftHanded = createSelector(selectAnatomy, (a) => a?.handed === 'left');
/** How far every aspect of the instrument is known; null until it is here. */
export const selectRevisions = createSelector(anatomy.select, circuit.select, (a, c): Revisions | null =>
  a.version === null || c.version === null || c.of !== a.of ? null : knownAt({ anatomy: a.version, circuit: c.version }),
);
/** The circuit as it was traced or chosen; null: nothing is known of it. */
export const selectCircuit = createSelector(circuit.select, anatomy.select, (c, a): Circuit | null => (c.of === a.of ? (c.data?.document ?? null) : null));
/** Every part by its id, what is put away too. */
export const selectParts = createSelector(parts.select, (p): Shelf => Object.fromEntries(Object.entries(p.data ?? {}).map(([id, k]) => [id, k.part])));
/** The pickups that can be chosen. */
export const selectPickups = createSelector(parts.select, (p): readonly Pickup[] =>
  Object.values(p.data ?? {}).flatMap((k) => (!k.archived && isPickup(k.part) ? [k.part] : [])),
);
/** What lies in the drawers. */
export const selectStock = createSelector(stock.select, (s): readonly StockItem[] => (s.data ?? []).map((k) => ({ ...k.item, reserved: k.reserved })));
export const selectNames = createSelector(selectAnatomy, selectParts, (a, p) => namesOf(a, p));
export const selectPlan = planFeature.selectDraft;
/** The choice that is looked at: the last one, or else the first of the plan. */
export const selectChoice = createSelector(
  selectPlan,
  planFeature.selectInView,
  (plan, id): Choice | null => plan && (choiceOf(plan, id) ?? plan.choices[0] ?? null),
);
/** The same where it is a pickup's; on Cut the first one that has a route. */
export const selectPickupChoice = createSelector(selectPlan, selectChoice, (plan, choice): PickupChoice | null => {
  if (choice && isPickupChoice(choice)) return choice;
  const pickups = plan?.choices.filter(isPickupChoice) ?? [];
  return pickups.find((c) => c.route !== null) ?? pickups[0] ?? null;
});

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

/** What is done of the decisions in force, by source and key. */
const selectDone = createSelector(selectWork, (w) => doneOf(w?.operations ?? []));

/** What the instrument has that others do not, in a word each: the same words are the same list. */
const selectFittedWords = createSelector(instrument.select, anatomy.select, (i, a) =>
  i.data && a.data ? surveyedOf(a.data.now.document, i.data).fitted.join(' ') : '',
);
const selectFitted = createSelector(selectFittedWords, (words): PlanState['fitted'] => words.split(' ').filter(Boolean) as unknown as PlanState['fitted']);

/** Everything the core evaluates a plan from; null until all of it is here. */
export const selectPlanState = createSelector(
  selectGround,
  selectParts,
  selectStock,
  selectDone,
  selectFitted,
  (g, parts, stock, done, fitted): PlanState | null =>
    g?.anatomy.data ? { anatomy: g.anatomy.data.now.document, parts, stock, settings: g.shop.settings, tools: g.shop.tools, done, fitted } : null,
);

/** What the state is called in the worker: it changes when the instrument, the shelf, the drawers, the shop or what is done do, not while the plan is moved. */
export const selectStateKey = createSelector(selectGround, selectDone, selectFittedWords, (g, done, fitted) => {
  const of = (list: readonly { readonly version: number }[] | null | undefined): string =>
    `${list?.length ?? 0}.${(list ?? []).reduce((n, x) => n + x.version, 0)}`;
  return [g?.anatomy.of, g?.anatomy.version, of(g && Object.values(g.parts)), of(g?.stock), g?.shop.version, fitted, ...done].join('/');
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
export const selectSurveyed = createSelector(selectAnatomy, instrument.select, selectParts, selectCircuit, (a, i, parts, c) =>
  a && i.data ? surveyedOf(a, i.data, parts, c) : null,
);

/** What the readings of the survey in view say of the instrument's state; before the first survey all of them; null until it is here. */
export const selectSurvey = createSelector(selectSurveyed, selectReadings, selectSurveyInView, (surveyed, all, survey) =>
  surveyed ? stateOf(surveyed, survey ? readingsIn(survey.id, all) : all) : null,
);

/** A reading that is being taken again blind says nothing meanwhile. */
function readable(r: ShownReading): readonly Reading[] {
  return r.value === null || r.raw === null ? [] : [{ ...r, value: r.value, raw: r.raw }];
}

/** The shop's numbers in force; the starting ones until they are here. */
export const selectSettings = createSelector(shop.select, (s) => s.data?.settings ?? settingsWith());
export const selectTools = createSelector(shop.select, (s) => s.data?.tools ?? []);
/** All that the worker computes from, in one piece: never half of an old and half of a new state. */
export const selectComputable = createSelector(selectPlanState, selectStateKey, selectPlan, selectChoice, (state, key, plan, choice) =>
  state && plan ? { state, key, plan, choice: choice?.id ?? null } : null,
);

/** The newest verdicts on the choice that is looked at; none of another's. */
export const selectLive = createSelector(resultsFeature.selectLive, selectChoice, (l, choice) => (l?.choice === (choice?.id ?? null) ? l.result : null));

/** The evaluation of the whole plan with its workings, when it is that of the plan and state of the newest verdicts. */
export const selectWhole = createSelector(resultsFeature.selectLive, resultsFeature.selectFull, (live, full) =>
  full && (!live || (live.key === full.key && live.plan === full.plan)) ? full.result : null,
);
/** What it says of the choice that is looked at. */
export const selectEvaluation = createSelector(selectWhole, selectChoice, (whole, choice) => whole && choice && ofChoice(whole, choice.id));
export const selectVerdicts = createSelector(selectLive, selectEvaluation, (live, full) => full?.verdicts ?? live?.verdicts ?? []);
/** What was said of the whole plan when it last rested, be it older than the newest verdicts: what stands in lists does not come and go with each sum. */
export const selectLastWhole = createSelector(resultsFeature.selectFull, (full) => full?.result ?? null);
/** What it says of the choice that is looked at. */
export const selectRested = createSelector(selectLastWhole, selectChoice, (whole, choice): readonly Verdict[] =>
  whole && choice ? ofChoice(whole, choice.id).verdicts : [],
);
/** What is decided and in force. */
export const selectDecisions = createSelector(selectWork, (w) => w?.decisions.filter((d) => d.undoneAt === null) ?? []);
/** What is decided of the choice that is looked at. */
export const selectDecision = createSelector(selectDecisions, selectChoice, (all, choice) => all.find((d) => d.choice === choice?.id) ?? null);
/** Is the instrument the workshop's own? Nobody outside it owns it. */
export const selectOwn = createSelector(instrument.select, people.select, (i, p) => p.data?.find((x) => x.id === i.data?.owner)?.role !== 'owner');
export const selectOperations = createSelector(selectWork, (w) => w?.operations ?? []);

/** Where the work of each decision in force is done, in words. */
const selectPlacesOfWork = createSelector(selectDecisions, selectPlan, selectNames, (decisions, plan, names): Readonly<Record<string, string>> =>
  Object.fromEntries(decisions.map((d) => [d.id, placeOfChoice(choiceNow(d, plan), names)])),
);

/** Where an operation is done, in words: at the place of its decision; what is changed on the bench, or put in by hand, at its own, or on the whole instrument. */
export const selectWhereOf = createSelector(
  selectPlacesOfWork,
  selectNames,
  (places, names) =>
    (o: Pick<Operation, 'source' | 'subject' | 'decision'>): string => {
      if (o.source.of !== 'job' && o.source.of !== 'hand') return places[o.decision] ?? '';
      return names[o.subject.id] === undefined ? WHOLE : upperFirst(nameOf(names, o.subject.id));
    },
);
