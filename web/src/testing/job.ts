import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatSelectHarness } from '@angular/material/select/testing';
import { knownAt } from '@rinnovo/core/instrument';
import { unlookedOf, type Clearance, type Decision, type LedgerEntry, type PlanRecord } from '@rinnovo/core/job';
import { HOUSE, bound, cuttingFor, evaluatePlan, optionsFor, plannedWork } from '@rinnovo/core/house';
import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideState, Store } from '@ngrx/store';
import type { CircuitRevision, Instrument, KeptSurvey, Lesson, Photograph, Shop, ShownReading } from '@rinnovo/contract';
import type { Choice, PickupChoice, Plan, PlanState } from '@rinnovo/core/check';
import { doneOf, settingsWith } from '@rinnovo/core/operation';
import type { PlannedOperation } from '@rinnovo/core/work';
import type { Pickup, StockItem, Tool } from '@rinnovo/core/part';
import { roundedRectangle } from '@rinnovo/core/shape';
import type { Circuit } from '@rinnovo/core/wire';
import { planActions } from '../app/state/plan.actions';
import { planFeature } from '../app/state/plan.feature';
import { provideHeld } from '../app/state/held';
import {
  anatomy as anatomyResource,
  circuit as circuitResource,
  findings,
  instrument,
  instruments,
  jobs,
  ledger,
  lessons,
  outlines,
  parts,
  people,
  photographs,
  profiles,
  readings,
  shop,
  stock,
  surveys,
  work,
  WORKSHOP,
  type Work,
} from '../app/state/resources';
import { resultActions, resultsFeature } from '../app/state/results.feature';
import { surveyFeature } from '../app/state/survey.feature';
import { clearedOn } from './cleared';
import { anatomy, setUp } from './fixture';

const sheet = { kind: 'sheet' as const, part: 'two-coil' };
const d = (value: number) => ({ value, limit: 0.05, basis: sheet });

export const pickup: Pickup = {
  format: 2,
  id: 'two-coil',
  kind: 'humbucker',
  name: 'Wide two-coil',
  tiers: [
    { id: 'cover', shapes: [{ outline: roundedRectangle(69, 38, 3), limit: 0.05, basis: sheet }], from: -9, lowest: d(13) },
    { id: 'base', shapes: [{ outline: roundedRectangle(69.5, 38.3, 3), limit: 0.05, basis: sheet }], from: 13, lowest: d(16.5) },
  ],
  screws: { at: [], diameter: 2.5, lowest: d(16) },
  poles: { spacing: d(49.5), rows: [0] },
  leads: 4,
  price: 12900,
};

/** One of it lies in a drawer. */
export const drawers: readonly StockItem[] = [{ id: 'one', kind: 'part', part: 'two-coil', quantity: 1, drawer: 'A1' }];

export const tools: readonly Tool[] = [
  { id: 'calliper', kind: 'calliper', name: 'Calliper', limit: 0.05 },
  { id: 'gauge', kind: 'depth gauge', name: 'Depth gauge', limit: 0.05 },
  { id: 'bore', kind: 'boring', name: '25 mm boring bit', diameter: 25, spur: 2.5 },
  { id: 'short', kind: 'template', name: 'Short template bit', diameter: 9.525, cuttingLength: 12.7, reach: 25 },
];

export const route = { at: { x: 0, y: 105, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(71.5, 40.5, 4.7625), depth: 18, bored: false }] };
export const choice: PickupChoice = {
  kind: 'pickup',
  id: 'pickup',
  position: 'pickup',
  part: 'two-coil',
  alternatives: [],
  insertFitted: false,
  leadsNeeded: 4,
  route: null,
};
/** A plan of these choices. */
/** The choice, with something else about it. */
export const choiceWith = (more: Partial<PickupChoice>): PickupChoice => ({ ...choice, ...more });
export const planOf = (...choices: readonly Choice[]): Plan => ({ format: 5, choices });
export const job = {
  id: 'job',
  instrument: 'i',
  title: 'Work',
  request: { kind: 'humbucker' as const, reversibleOnly: false, doNotTouch: [] },
  ownerSays: 'please',
  look: '',
  limits: { budget: null, due: null },
  worth: null,
  active: true,
};
export const decision: Decision = {
  id: 'decision',
  job: 'job',
  option: 'reroute/two-coil',
  reason: 'what she asked for',
  person: 'nell',
  at: '2026-01-02T10:00:00.000Z',
  planVersion: 1,
  revisions: knownAt({ anatomy: 1 }),
  choice: 'pickup',
  chosen: { ...choice, route },
  options: [],
  undoneAt: null,
};

/** The house without what lies on the bench: nobody takes strings off before a spec looks at a card. */
const noBench = bound({ ...HOUSE, bench: [] });

export const operation = (kind: PlannedOperation['kind'], more: Partial<PlannedOperation> = {}): PlannedOperation => ({
  id: kind,
  job: 'job',
  decision: 'decision',
  kind,
  source: { of: 'choice', id: 'pickup' },
  key: kind,
  subject: { aspect: 'anatomy', id: 'pickup' },
  does: [],
  lapses: [],
  state: 'proposed',
  rank: null,
  minutes: 10,
  moves: [],
  at: { features: ['pickup'], cavities: ['route'], zones: ['body top'], holes: [] },
  bench: { needs: [], makes: [] },
  ...more,
});

const nell = { id: 'nell', name: 'Nell', role: 'technician' as const };
const client = { id: 'client', name: 'Client', role: 'owner' as const };

export interface JobOnScreen {
  /** Not there: nothing is known of it. */
  readonly circuit?: Circuit;
  /** The decisions that the owner agreed to; else all. */
  readonly agreed?: readonly string[];
  /** What lies in the drawers; else one of the part. */
  readonly stock?: readonly StockItem[];
  readonly choice?: PickupChoice;
  readonly readings?: readonly ShownReading[];
  readonly work?: Partial<Work>;
  readonly ledger?: readonly LedgerEntry[];
  readonly surveys?: readonly KeptSurvey[];
  readonly lessons?: readonly Lesson[];
  readonly photographs?: readonly Photograph[];
  /** The instrument is a client's, not the workshop's own. */
  readonly ofClient?: boolean;
}

/** A job of the workshop's own in which nothing is decided. */
/** What the server tells of a circuit. */
export const circuitRevision = (document: Circuit | null, revision = document ? 1 : 0): CircuitRevision => ({
  instrument: 'i',
  revision,
  document,
  cause: document ? 'correction' : null,
  person: document ? 'nell' : null,
  at: document ? '2026-12-01T10:00:00.000Z' : null,
});

export const noWork: Work = {
  decisions: [],
  operations: [],
  waivers: [],
  clearances: [],
  consents: [],
  owner: { clients: false, changed: null },
  ownerChanges: [],
};

/** A job as the store holds it once everything is loaded and worked out; the server is answered by hand. */
export function jobOnScreen(more: JobOnScreen = {}): { readonly http: HttpTestingController; readonly store: Store } {
  TestBed.configureTestingModule({
    providers: [
      ...provideHeld(
        people,
        instrument,
        instruments,
        jobs,
        anatomyResource,
        circuitResource,
        readings,
        parts,
        stock,
        outlines,
        shop,
        work,
        ledger,
        surveys,
        findings,
        profiles,
        lessons,
        photographs,
      ),
      provideState(surveyFeature),
      provideState(planFeature),
      provideState(resultsFeature),
    ],
  });
  const http = setUp();
  const store = TestBed.inject(Store);
  const chosen = more.choice ?? choice;
  const shown = planOf(chosen);
  const settings = settingsWith({ lateHour: 24 });
  const done = doneOf(more.work?.operations ?? []);
  const asked: Work = { ...noWork, owner: { clients: more.ofClient === true, changed: null }, ...more.work };
  const drawn: PlanState = { anatomy, parts: { 'two-coil': pickup }, stock: more.stock ?? drawers, settings, tools, done, fitted: [] };
  // where a clearance stands all that it asks is there
  const facts = { ...asked, id: 'job', plan: shown, technicians: 1, ledger: more.ledger ?? [], readings: [], unlooked: [] };
  const cleared = asked.clearances.length > 0 ? clearedOn(drawn, chosen, facts) : null;
  const held: Work = {
    ...asked,
    clearances: asked.clearances.map((c) => ({ ...c, ...cleared?.given, accepted: [...c.accepted, ...(cleared?.given.accepted ?? [])] })),
  };
  const state: PlanState = { ...drawn, anatomy: cleared?.anatomy ?? anatomy };
  const revision = { instrument: 'i', revision: 1, document: state.anatomy, cause: 'correction' as const, entry: null, person: 'nell', at: '' };
  const record: PlanRecord = { job: 'job', version: 2, revisions: knownAt({ anatomy: 1 }), plan: shown };
  const log = more.ledger ?? [];

  store.dispatch(people.loaded({ of: WORKSHOP, data: [nell, client], version: null }));
  store.dispatch(instrument.loaded({ of: 'i', data: { ...instrumentOnScreen, owner: more.ofClient ? client.id : null }, version: 1 }));
  store.dispatch(jobs.loaded({ of: 'i', data: [job], version: null }));
  store.dispatch(parts.loaded({ of: WORKSHOP, data: { 'two-coil': { part: pickup, archived: false, version: 1 } }, version: null }));
  store.dispatch(stock.loaded({ of: WORKSHOP, data: (more.stock ?? drawers).map((item) => ({ item, version: 1, reserved: {} })), version: null }));
  store.dispatch(shop.loaded({ of: WORKSHOP, data: { version: 1, settings, own: {}, tools, toolVersions: {} } satisfies Shop, version: 1 }));
  store.dispatch(anatomyResource.loaded({ of: 'i', data: { now: revision, found: revision, changes: [] }, version: 1 }));
  store.dispatch(circuitResource.loaded({ of: 'i', data: circuitRevision(more.circuit ?? null), version: more.circuit ? 1 : 0 }));
  store.dispatch(readings.loaded({ of: 'i', data: more.readings ?? cleared?.readings ?? [], version: null }));
  store.dispatch(surveys.loaded({ of: 'i', data: more.surveys ?? [], version: null }));
  store.dispatch(findings.loaded({ of: 'i', data: [], version: null }));
  store.dispatch(profiles.loaded({ of: WORKSHOP, data: [], version: null }));
  store.dispatch(photographs.loaded({ of: 'i', data: more.photographs ?? [], version: null }));
  store.dispatch(lessons.loaded({ of: WORKSHOP, data: more.lessons ?? [], version: null }));
  store.dispatch(ledger.loaded({ of: 'i', data: log, version: null }));
  store.dispatch(work.loaded({ of: 'job', data: held, version: null }));
  store.dispatch(planActions.loaded({ record, draft: null }));

  const computed = { key: 'k', plan: shown, choice: chosen.id };
  const evaluation = evaluatePlan(state, shown);
  store.dispatch(resultActions.evaluated({ computed: { ...computed, result: { verdicts: evaluation.verdicts.map((v) => ({ ...v, working: null })) } } }));
  store.dispatch(resultActions.evaluatedInFull({ computed: { ...computed, result: { ...evaluation, figures: null } } }));
  store.dispatch(resultActions.optionsWorkedOut({ computed: { ...computed, result: optionsFor(state, shown, chosen, job.request) } }));
  store.dispatch(resultActions.cuttingPlanned({ computed: { ...computed, result: cuttingFor(state, chosen) } }));
  // all work that a spec does not name is done
  const named = new Set(held.operations.map((o) => o.kind));
  const others = named.size === 0 ? [] : plannedWork(state, chosen).flatMap((x) => (named.has(x.kind) ? [] : [operation(x.kind, { state: 'done' })]));
  const choices: Readonly<Record<string, Choice>> = held.operations.length > 0 ? { decision: chosen } : {};
  const input = {
    state,
    job: 'job',
    choices,
    operations: [...others, ...held.operations],
    waivers: held.waivers,
    agreed: more.agreed ?? ['decision'],
    cleared: held.clearances.map((c) => c.decision),
    unlooked: unlookedOf(log),
  };
  const entries = log.map((l) => ({ operation: l.operation, step: l.step, outcome: l.outcome, measured: l.measured?.value ?? null, at: l.at }));
  store.dispatch(resultActions.benchLaidOut({ computed: { ...computed, result: noBench.benchNow({ ...input, log: entries }) } }));
  return { http, store };
}

export const clearance: Clearance = {
  id: 'c',
  job: 'job',
  decision: 'decision',
  planVersion: 2,
  chosen: { ...choice, route },
  revisions: knownAt({ anatomy: 1 }),
  accepted: [],
  print: null,
  numbers: [],
  person: 'nell',
  at: '2026-01-02T11:00:00.000Z',
};

export const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;

export function button(fixture: ComponentFixture<unknown>, text: string): HTMLButtonElement {
  const found = [...host(fixture).querySelectorAll('button')].find((b) => b.textContent.trim() === text);
  if (!found) throw new Error(`no button '${text}' among ${[...host(fixture).querySelectorAll('button')].map((b) => b.textContent.trim()).join(' | ')}`);
  return found;
}

export async function type(fixture: ComponentFixture<unknown>, selector: string, text: string): Promise<void> {
  const input = host(fixture).querySelector<HTMLInputElement>(selector);
  if (!input) throw new Error(`no ${selector}`);
  input.value = text;
  input.dispatchEvent(new Event('input'));
  await fixture.whenStable();
}

/** Opens a select and takes the option that says this. */
export async function choose(fixture: ComponentFixture<unknown>, selector: string, option: string): Promise<void> {
  const select = await TestbedHarnessEnvironment.loader(fixture).getHarness(MatSelectHarness.with({ selector: `${selector}, ${selector} mat-select` }));
  await select.clickOptions({ text: option });
  await fixture.whenStable();
}

/** A step of the job's work that was logged. */
export const logged = (more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  id: 'e',
  instrument: 'i',
  job: 'job',
  operation: 'routePasses',
  kind: 'routePasses',
  step: '4 cut',
  outcome: 'done',
  note: '',
  minutes: null,
  measured: null,
  wrong: null,
  numbers: {},
  before: knownAt({ anatomy: 1 }),
  after: knownAt({ anatomy: 1 }),
  person: 'nell',
  done: null,
  at: '2026-01-02T12:00:00.000Z',
  unjudged: null,
  takenBack: null,
  ...more,
});

/** Lets promises and their effects run. */
export const settle = (ms = 10): Promise<void> => new Promise((r) => setTimeout(r, ms));

/** A survey that takes readings. */
export const survey: KeptSurvey = {
  id: 'survey',
  instrument: 'i',
  kind: 'as found',
  strings: '10–46',
  tuning: 'standard',
  skipped: [],
  work: [],
  person: 'nell',
  holder: 'nell',
  begun: '2026-01-01T00:00:00.000Z',
  signed: null,
  version: 1,
};

/** The instrument that the job is of, of which nothing is said yet. */
export const instrumentOnScreen: Instrument = {
  id: 'i',
  label: 'Tern',
  maker: '',
  model: '',
  serial: '',
  owner: null,
  notes: '',
  kind: 'bolt-on solid',
  identity: {},
  archived: false,
};
