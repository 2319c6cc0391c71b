import type { Job } from '@rinnovo/core/job';
import type { AnatomyRevision, Instrument, KeepOutline, KeptFinding, KeptSurvey, Person } from '@rinnovo/contract';
import type { PickupChoice, Plan } from '@rinnovo/core/check';
import { knownAt, type Revisions } from '@rinnovo/core/instrument';
import type { Part, StockItem, Tool } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import { tern } from './anatomies.js';
import { circuits, type DemoCircuit } from './circuits.js';
import { drawer } from './drawer.js';
import { flock, flockAnatomies } from './flock.js';
import { hardware } from './hardware.js';
import { ids } from './ids.js';
import { pickups } from './pickups.js';
import { sanderling, sanderlingAnatomy, sanderlingJob, sanderlingPlan } from './sanderling.js';
import { findings, profiles, states, surveys } from './states.js';
import { stock } from './stock.js';
import { tools } from './tools.js';

/** An invented workshop, as rows. */
export interface DemoWorkshop {
  readonly people: readonly Person[];
  readonly tools: readonly Tool[];
  readonly parts: readonly Part[];
  readonly stock: readonly StockItem[];
  readonly instruments: readonly Instrument[];
  readonly jobs: readonly Job[];
  readonly anatomies: readonly AnatomyRevision[];
  /** What is known of circuits. */
  readonly circuits: readonly DemoCircuit[];
  readonly surveys: readonly KeptSurvey[];
  readonly readings: readonly Reading[];
  readonly findings: readonly KeptFinding[];
  readonly profiles: typeof profiles;
  /** What lies in the drawer. */
  readonly outlines: readonly (KeepOutline & { readonly id: string; readonly person: string })[];
  readonly plans: readonly { readonly job: string; readonly revisions: Revisions; readonly plan: Plan }[];
}

const MORNING = '2026-11-02T08:40:00.000Z';

interface DemoReading extends Pick<Reading, 'instrument' | 'target' | 'value' | 'tool'> {
  readonly n: number;
  readonly minute: number;
}

function reading({ n, instrument, target, value, tool, minute }: DemoReading): Reading {
  const at = new Date(Date.parse(MORNING) + minute * 60_000).toISOString();
  return {
    id: ids.reading(n),
    instrument,
    target,
    value,
    limit: 0.05,
    raw: String(value),
    tool,
    person: ids.ada,
    at,
    blind: false,
    survey: null,
    corrects: null,
  };
}

const thickness: Reading['target'] = { quantity: 'bodyThickness', feature: 'body' };
const backDepth: Reading['target'] = { quantity: 'levelDepth', feature: 'back cavity', part: 'floor' };

const bolted = { kind: 'bolt-on solid' as const, identity: {}, archived: false };
const nothingSaid = { look: '', limits: { budget: 40000, due: null }, worth: 160000, active: true };
const request = { kind: 'humbucker' as const, reversibleOnly: false, doNotTouch: [] };
const neckPickup: PickupChoice = {
  kind: 'pickup',
  id: 'neck pickup',
  position: 'neck pickup',
  part: ids.wideTwoCoil,
  alternatives: [ids.slimTwoCoil],
  insertFitted: false,
  leadsNeeded: 4,
  route: null,
};
const plan: Plan = { format: 5, choices: [neckPickup] };

export const demoWorkshop: DemoWorkshop = {
  people: [
    { id: ids.ada, name: 'Ada Lindqvist-Moro', role: 'technician' },
    { id: ids.ben, name: 'Ben Okafor-Hale', role: 'technician' },
    { id: ids.owner, name: 'Inés Valverde-Roth', role: 'owner' },
  ],
  tools,
  parts: [...pickups, ...hardware],
  stock,
  instruments: [
    {
      id: ids.first,
      label: 'Tern no. 14',
      maker: 'Saltmarsh Workshop',
      model: 'Tern',
      serial: 'SW-0014',
      owner: ids.owner,
      notes: 'Bolt-on, 635 mm. Slim single-coil in the neck position, hung from a metal plate.',
      ...bolted,
    },
    {
      id: ids.second,
      label: 'Tern no. 22',
      maker: 'Saltmarsh Workshop',
      model: 'Tern',
      serial: 'SW-0022',
      owner: ids.owner,
      notes: 'The thinner sister: 39 mm, with a deeper back cavity.',
      ...bolted,
    },
    ...flock,
    sanderling,
  ],
  jobs: [
    {
      id: ids.jobFirst,
      instrument: ids.first,
      title: 'Full-width two-coil in the neck position',
      request,
      ownerSays: 'A full two-coil sound and look. The plate must hide the route; she may go back one day.',
      ...nothingSaid,
    },
    {
      id: ids.jobSecond,
      instrument: ids.second,
      title: 'Full-width two-coil in the neck position',
      request,
      ownerSays: 'The same as on no. 14, if the body allows it.',
      ...nothingSaid,
    },
    sanderlingJob,
  ],
  circuits,
  anatomies: [
    {
      instrument: ids.first,
      revision: 1,
      document: tern({ thickness: 41.5, backDepth: 12, readings: [1, 2] }),
      cause: 'correction',
      entry: null,
      person: ids.ada,
      at: MORNING,
    },
    {
      instrument: ids.second,
      revision: 1,
      document: tern({ thickness: 39, backDepth: 18.5, readings: [3, 4] }),
      cause: 'correction',
      entry: null,
      person: ids.ada,
      at: MORNING,
    },
    ...flockAnatomies,
    sanderlingAnatomy,
  ],
  outlines: drawer,
  surveys,
  findings,
  profiles,
  readings: [
    reading({ n: 1, instrument: ids.first, target: thickness, value: 41.5, tool: ids.calliper, minute: 5 }),
    reading({ n: 2, instrument: ids.first, target: backDepth, value: 12, tool: ids.depthGauge, minute: 8 }),
    reading({ n: 3, instrument: ids.second, target: thickness, value: 39, tool: ids.calliper, minute: 31 }),
    reading({ n: 4, instrument: ids.second, target: backDepth, value: 18.5, tool: ids.depthGauge, minute: 34 }),
    ...states,
  ],
  plans: [
    { job: ids.jobFirst, revisions: knownAt({ anatomy: 1 }), plan },
    { job: ids.jobSecond, revisions: knownAt({ anatomy: 1 }), plan },
    { job: ids.jobThird, revisions: knownAt({ anatomy: 1 }), plan: sanderlingPlan },
  ],
};
