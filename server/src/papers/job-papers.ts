import { cardsOf } from '@rinnovo/core/house';
import { isIrreversible } from '@rinnovo/core/house/lists';
import type { Instrument, JobPaper } from '@rinnovo/contract';
import { hardnessOf, holeTable, pilotFor } from '@rinnovo/core/cut';
import { benchInput, costOf, standing, type DecisionOption } from '@rinnovo/core/job';
import { undoRecipe } from '@rinnovo/core/record';
import {
  durationText,
  estimatePaper,
  exclusionText,
  handOverReport,
  holeSheet,
  intakeSheet,
  jobCard,
  nameOf,
  operationAt,
  operationsTogether,
  placeOfChoice,
  remedyName,
  remedyTitle,
  upperFirst,
  WHOLE,
  type EstimateOption,
  type EstimatePlace,
  type JobCardWork,
  type Names,
  type Paper,
  type PaperHead,
} from '@rinnovo/words';
import type { Knex } from 'knex';
import { asFound } from '../anatomy/as-found.js';
import { benchOf, type JobState } from '../jobs/job-state.js';
import { ledgerAfter, MOST_ENTRIES } from '../ledger/queries.js';
import { openSessions } from '../readings/sessions.js';
import { inThread } from '../sums/pool.js';
import { loadSheet } from '../surveys/load-sheet.js';
import { findingsOf, surveysOf } from '../surveys/queries.js';

/** What a paper of a job is made from. */
export interface PaperGround {
  readonly db: Knex;
  readonly s: JobState;
  readonly one: Instrument;
  readonly head: PaperHead;
  readonly names: Names;
}

/** As many ways for one place as anybody chooses from. */
const MOST_OPTIONS = 4;

/** Every paper of a job, by its name in the address. */
export const JOB_PAPERS: Readonly<Record<JobPaper, (g: PaperGround) => Promise<Paper>>> = {
  intake: async ({ db, s, one, head, names }) => {
    const survey = (await surveysOf(db, one.id)).findLast((x) => x.kind === 'as found');
    const pinned = (await findingsOf(db, one.id)).filter((f) => f.rule === null && f.survey === null);
    const seen = pinned.map((f) => ({
      text: f.text,
      severity: f.severity,
      detail: f.feature === null ? '' : upperFirst(nameOf(names, f.feature)),
      place: f.feature,
    }));
    const found = survey ? (await loadSheet(db, one, survey)).sheet.findings : [];
    return intakeSheet({ head, job: s.job, anatomy: s.state.anatomy, names, found: [...found, ...seen] });
  },

  estimate: async ({ s, head, names }) => {
    const places: EstimatePlace[] = [];
    for (const choice of s.record.plan.choices) {
      const decision = s.decisions.find((d) => d.choice === choice.id);
      const options = decision ? decidedOptions(s, names, decision.option, decision.options) : await openOptions(s, names, choice.id);
      places.push({ place: placeOfChoice(choice, names), options });
    }
    return estimatePaper({ head, places, ratePerHour: s.state.settings.ratePerHour, budget: s.job.limits.budget });
  },

  'job-card': ({ s, head, names }) => Promise.resolve(jobCard(head, worksOn(s, names))),

  holes: async ({ s, one, head, names }) => {
    const { anatomy, tools } = s.state;
    const whole = await inThread('evaluation', { state: s.state, plan: s.record.plan });
    const wood = one.identity.bodyWood?.value ?? null;
    const hardness = hardnessOf(wood);
    const gauges = [...new Set(anatomy.plates.flatMap((p) => p.screws.map((x) => x.gauge)))].sort((a, b) => a - b);
    return holeSheet({
      head,
      holes: holeTable(s.state, s.record.plan, whole),
      pilots: gauges.map((gauge) => pilotFor(gauge, hardness, tools)),
      wood: wood === null ? 'hardwood (body wood unknown)' : `${wood}: ${hardness}`,
      names,
    });
  },

  'hand-over': async ({ db, s, one, head, names }) => {
    const { found, changes } = await asFound(db, one.id, await openSessions(db, one.id));
    const done = standing(await ledgerAfter(db, one.id, null, MOST_ENTRIES)).filter((l) => l.job === s.job.id);
    const fitted = changes.flatMap((d) => (d.kind === 'partChanged' && d.after !== null ? [s.state.parts[d.after]] : [])).filter((p) => p !== undefined);
    const agreed = s.consents.filter((c) => c.withdrawn === null && s.decisions.some((d) => d.id === c.decision));
    return handOverReport({
      head,
      found: found.document,
      left: s.state.anatomy,
      changes,
      undo: undoRecipe(changes),
      names,
      decisions: s.decisions.map((d) => ({
        place: placeOfChoice(d.chosen, names),
        what: remedyName(d.options.find((o) => o.id === d.option)?.kind ?? 'keep'),
        reason: d.reason,
      })),
      agreed: agreed.length === 0 ? null : newestOf(agreed).reduce((sum, c) => sum + c.price, 0),
      minutes: done.reduce((sum, l) => sum + (l.minutes ?? 0), 0),
      ratePerHour: s.state.settings.ratePerHour,
      parts: fitted.map((p) => ({ name: p.name, price: p.price })),
    });
  },
};

/** The newest yes to each decision. */
function newestOf<T extends { readonly decision: string }>(consents: readonly T[]): readonly T[] {
  return [...new Map(consents.map((c) => [c.decision, c])).values()];
}

function priced(s: JobState, part: string | null, minutes: number, kept: boolean): Pick<EstimateOption, 'part' | 'minutes' | 'price'> {
  const cost = kept ? 0 : (s.state.parts[part ?? '']?.price ?? 0);
  return { part: cost, minutes, price: costOf({ part: cost, minutes, ratePerHour: s.state.settings.ratePerHour }) };
}

/** What was chosen, and what it was chosen from. */
function decidedOptions(s: JobState, names: Names, chosen: string, options: readonly DecisionOption[]): readonly EstimateOption[] {
  const shown = options.filter((o) => o.id === chosen || (o.excluded === null && o.kind !== 'keep')).slice(0, MOST_OPTIONS);
  const all = shown.some((o) => o.id === chosen) ? shown : [...shown, ...options.filter((o) => o.id === chosen)];
  return all.map((o) => ({
    text: [remedyName(o.kind), o.part === null || o.kind === 'keep' ? '' : nameOf(names, o.part)].filter(Boolean).join(': '),
    ...priced(s, o.part, o.minutes, o.kind === 'keep'),
    note: o.wait ? `Waits ${durationText(o.wait)}` : '',
    chosen: o.id === chosen,
  }));
}

/** The best ways for a place that nothing is decided for. */
async function openOptions(s: JobState, names: Names, id: string): Promise<readonly EstimateOption[]> {
  const choice = s.record.plan.choices.find((c) => c.id === id);
  if (!choice) return [];
  const options = await inThread('options', { state: s.state, plan: s.record.plan, choice, request: s.job.request });
  const open = options.filter((o) => o.excluded === null || o.excluded.kind === 'baseline');
  return open.slice(0, MOST_OPTIONS).map((o) => ({
    text: remedyTitle(o, names),
    ...priced(s, o.proposal.choice.part, o.minutes, o.proposal.kind === 'keep'),
    note: o.excluded && o.excluded.kind !== 'baseline' ? exclusionText(o.excluded) : '',
    chosen: false,
  }));
}

/** The work that is left, in its order; like acts at like places as one. */
function worksOn(s: JobState, names: Names): readonly JobCardWork[] {
  const asked = { ...benchInput(s), state: s.state };
  const bench = benchOf(s);
  const whereOf = (o: (typeof bench.ordered)[number]): string => {
    const choice = o.source.of === 'choice' ? asked.choices[o.decision] : undefined;
    if (choice) return placeOfChoice(choice, names);
    return names[o.subject.id] === undefined ? WHOLE : upperFirst(nameOf(names, o.subject.id));
  };
  return bench.ordered.flatMap((o): readonly JobCardWork[] => {
    const set = bench.together.find((t) => t.includes(o.id));
    if (o.state === 'done' || o.state === 'dropped' || bench.skipped.includes(o.id) || (set && set[0] !== o.id)) return [];
    const members = set ? bench.ordered.filter((x) => set.includes(x.id)) : [o];
    const places = members.map(whereOf);
    return [
      {
        title: set ? operationsTogether(o, places, 'mm') : operationAt(o, places[0] ?? '', 'mm'),
        places: set ? places : [],
        minutes: members.reduce((sum, m) => sum + m.minutes, 0),
        cards: cardsOf(o, asked),
        blocked: isIrreversible(o.kind) && members.some((m) => !asked.cleared.includes(m.decision)),
      },
    ];
  });
}
