import { knownAt } from '@rinnovo/core/instrument';
import { isPickup } from '@rinnovo/core/part';
import { pickupElement, presetCircuit, usualWish } from '@rinnovo/core/wire';
import { demoWorkshop } from '@rinnovo/demo';
import { randomUUID } from 'node:crypto';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!;
const part = demoWorkshop.parts[0]!;
const hardware = demoWorkshop.parts.find((p) => p.kind === 'tuner')!;
const calliper = demoWorkshop.tools[0]!.id;
const plan = demoWorkshop.plans[0]!.plan;
export const withOne = (change: object): object => ({ ...plan, choices: [{ ...plan.choices[0], ...change }] });
const pickup = demoWorkshop.parts.find(isPickup)!;
const circuit = presetCircuit('one pickup, volume and tone', usualWish([pickupElement('pickup', null, { part: pickup })]));
const anatomy = demoWorkshop.anatomies[0]!.document;

const vertex = (x: number, y: number) => ({ x, y, bulge: 0 });

export interface RouteCase {
  readonly path: (id: string) => string;
  readonly good: (id: string) => Record<string, unknown>;
  /** Fields that may be skipped. */
  readonly optional?: readonly string[];
  /** What is too long for it, letters. */
  readonly tooLong?: number;
}

/** Every route that takes a body, with a good one. */
export const ROUTES: Readonly<Record<string, RouteCase>> = {
  people: { path: (id) => `/api/people/${id}`, good: (id) => ({ id, name: 'Nell', role: 'technician' }) },
  instruments: { path: (id) => `/api/instruments/${id}`, good: (id) => ({ ...instrument, id, label: 'x' }) },
  jobs: { path: (id) => `/api/jobs/${id}`, good: (id) => ({ ...job, id }) },
  anatomy: { path: () => `/api/instruments/${instrument.id}/anatomy`, good: () => ({ document: anatomy }) },
  circuit: { path: () => `/api/instruments/${instrument.id}/circuit`, good: () => ({ document: circuit }) },
  parts: {
    path: (id) => `/api/parts/${id}`,
    good: (id) => ({ ...part, id }),
    optional: ['strings', 'sizes', 'colours', 'coils', 'coverGround', 'leadDays', 'replacedBy', 'note'],
  },
  stock: { path: (id) => `/api/stock/${id}`, good: (id) => ({ id, kind: 'dowel', wood: 'beech', diameter: 6, length: 500, quantity: 2, drawer: '' }) },
  hardware: { path: (id) => `/api/parts/${id}`, good: (id) => ({ ...hardware, id }), optional: ['leadDays', 'replacedBy', 'note'] },
  plan: { path: () => `/api/jobs/${job.id}/plan`, good: () => ({ revisions: knownAt({ anatomy: 1 }), plan }) },
  readings: {
    path: (id) => `/api/readings/${id}`,
    good: () => ({
      instrument: instrument.id,
      target: { quantity: 'bodyThickness', feature: 'body' },
      value: 41.5,
      limit: 0.05,
      raw: '41.5',
      tool: calliper,
      session: null,
      survey: null,
      corrects: null,
    }),
  },
  blind: {
    path: (id) => `/api/blind-sessions/${id}`,
    good: (id) => ({ id, instrument: instrument.id, target: { quantity: 'bodyThickness', feature: 'body' }, tool: calliper, zeroed: true }),
  },
  decisions: {
    path: (id) => `/api/decisions/${id}`,
    good: () => ({ job: job.id, planVersion: 1, revisions: knownAt({ anatomy: 1 }), choice: 'neck pickup', option: 'keep', reason: 'so', seen: [] }),
  },
  clearances: {
    path: (id) => `/api/clearances/${id}`,
    good: () => ({ job: job.id, decision: randomUUID(), planVersion: 1, revisions: knownAt({ anatomy: 1 }), accepted: [], print: null, seen: [] }),
  },
  consents: { path: (id) => `/api/consents/${id}`, good: () => ({ decision: randomUUID(), how: 'by phone', said: 'yes' }) },
  ledger: {
    path: (id) => `/api/ledger/${id}`,
    good: () => ({ operation: randomUUID(), step: '1 meter', outcome: 'done', wrong: null, note: '', minutes: null, measured: null, seen: {} }),
  },
  letterhead: { path: () => '/api/shop/letterhead', good: () => ({ name: 'Harbour Lane', address: '4 Harbour Lane' }) },
  looks: { path: (id) => `/api/ledger-looks/${id}`, good: () => ({ entry: randomUUID(), found: 'as planned' }) },
  corrections: { path: (id) => `/api/ledger-corrections/${id}`, good: () => ({ entry: randomUUID(), reason: 'too early' }) },
  photographs: { path: (id) => `/api/photographs/${id}`, good: () => ({ operation: randomUUID(), step: '1 cut', image: 'AAAA' }), tooLong: 12_700_000 },
  order: { path: () => `/api/jobs/${job.id}/order`, good: () => ({ order: [] }) },
  waivers: { path: (id) => `/api/waivers/${id}`, good: () => ({ job: job.id, rule: 'x', operations: [randomUUID()], reason: 'y' }) },
  outlines: {
    path: (id) => `/api/outlines/${id}`,
    good: () => ({
      name: 'Wide window',
      outline: { vertices: [vertex(0, 0), vertex(10, 0), vertex(10, 10)] },
      limit: 0.1,
      source: { file: 'window.svg', kind: 'svg', text: '<svg/>' },
    }),
    tooLong: 12_700_000,
  },
  archived: { path: (id) => `/api/outlines/${id}/archived`, good: () => ({ archived: true }), tooLong: 12_700_000 },
  tools: { path: (id) => `/api/shop/tools/${id}`, good: (id) => ({ id, kind: 'calliper', name: 'Calliper', limit: 0.05 }) },
  settings: { path: () => '/api/shop/settings', good: () => ({ own: {} }) },
};
