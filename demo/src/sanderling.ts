import type { Job } from '@rinnovo/core/job';
import { newHardwareChoice, newPickupChoice, type Plan, type PickupChoice } from '@rinnovo/core/check';
import type { AnatomyRevision, Instrument } from '@rinnovo/contract';
import type { Anatomy, Cavity, FeatureOutline, Hole, HoleKind, Plate } from '@rinnovo/core/instrument';
import type { Basis, Dimension } from '@rinnovo/core/measure';
import { roundedRectangle, stadium, type Outline } from '@rinnovo/core/shape';
import { tern } from './anatomies.js';
import { ids } from './ids.js';

const traced: Basis = { kind: 'sheet', part: 'tracing' };
const mm = (value: number, limit = 0.05): Dimension => ({ value, limit, basis: traced });
const drawn = (outline: Outline): FeatureOutline => ({ outline, limit: 0.1, basis: traced, across: null, along: null });

interface RoundHole {
  readonly id: string;
  readonly name: string;
  readonly kind: HoleKind;
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
}

function hole({ id, name, kind, x, y, diameter }: RoundHole, more: Partial<Hole> = {}): Hole {
  return {
    id,
    name,
    kind,
    face: 'top',
    frame: 'body',
    at: { x, y },
    diameter: mm(diameter),
    bare: null,
    through: true,
    depth: null,
    limit: 0.25,
    basis: traced,
    hiddenBy: null,
    condition: 'sound',
    ...more,
  };
}

interface PlainCavity extends Pick<Cavity, 'id' | 'name' | 'kind' | 'face' | 'hiddenBy'> {
  readonly outline: Outline;
  readonly depth: number;
}

function cavity({ id, name, kind, face, outline, depth, hiddenBy }: PlainCavity): Cavity {
  const level = { id: 'floor', set: 'found', outline: drawn(outline), depth: mm(depth), bored: false };
  return { id, name, kind, face, frame: 'body', levels: [level], hiddenBy, condition: 'sound' };
}

const cover: Plate = {
  id: 'control cover',
  name: 'Control cover',
  face: 'back',
  frame: 'body',
  outline: drawn(roundedRectangle(82, 150, 6, { x: 84, y: 262 })),
  thickness: mm(2),
  openings: [],
  screws: [
    { x: 47, y: 300, gauge: 3 },
    { x: 121, y: 262, gauge: 3 },
  ],
  kind: 'plate',
  condition: 'sound',
};

/** An instrument that was rebuilt before: small holes, a route in sight, a recess that nobody remembers. Nearly nothing of what is to go in goes in. */
function anatomy(): Anatomy {
  const base = tern({ thickness: 42, backDepth: 12, readings: [1, 2] });
  const head = { face: 'headstock front' as const, frame: 'headstock' };
  return {
    ...base,
    body: { ...base.body, thickness: mm(42) },
    headstock: { ...base.headstock, thickness: mm(14.5) },
    cavities: [
      ...base.cavities.map((c) =>
        c.id === 'neck route' ? { ...c, hiddenBy: null } : c.id === 'back cavity' ? { ...c, levels: c.levels.map((p) => ({ ...p, depth: mm(12) })) } : c,
      ),
      cavity({
        id: 'control cavity',
        name: 'Control cavity',
        kind: 'control',
        face: 'back',
        outline: roundedRectangle(64, 132, 8, { x: 84, y: 262 }),
        depth: 35.5,
        hiddenBy: 'control cover',
      }),
      cavity({ id: 'switch slot', name: 'Switch slot', kind: 'slot', face: 'top', outline: stadium(2.6, 30, { x: 70, y: 224 }), depth: 6.5, hiddenBy: null }),
      cavity({
        id: 'bridge recess',
        name: 'Bridge recess',
        kind: 'recess',
        face: 'top',
        outline: roundedRectangle(104, 40, 6, { x: 0, y: 300 }),
        depth: 27,
        hiddenBy: null,
      }),
    ],
    plates: [...base.plates, cover],
    holes: [
      hole({ id: 'volume hole', name: 'Volume hole', kind: 'pot', x: 88, y: 262, diameter: 8 }, { part: ids.part(3) }),
      hole({ id: 'tone hole', name: 'Tone hole', kind: 'pot', x: 88, y: 298, diameter: 8 }, { part: ids.part(3) }),
      hole({ id: 'jack hole', name: 'Jack hole', kind: 'jack', x: 21, y: 330, diameter: 9.8 }, { face: 'side', depth: mm(28), through: false }),
      hole(
        { id: 'strap hole', name: 'Strap pin hole', kind: 'screw', x: 21, y: 352, diameter: 4.6 },
        { face: 'side', depth: mm(24), through: false, condition: 'stripped' },
      ),
      hole({ id: 'tuner 1', name: 'Tuner hole 1', kind: 'tuner', x: -18, y: -40, diameter: 8.8 }, { ...head, part: ids.part(18) }),
      hole({ id: 'tuner 2', name: 'Tuner hole 2', kind: 'tuner', x: -20, y: -66, diameter: 8.8 }, { ...head, part: ids.part(18) }),
      hole(
        { id: 'tuner screw 1', name: 'Tuner screw hole', kind: 'screw', x: -18, y: -28, diameter: 2 },
        { face: 'headstock back', frame: 'headstock', through: false, depth: mm(9) },
      ),
    ],
  };
}

export const sanderling: Instrument = {
  id: ids.sanderling,
  label: 'Sanderling',
  maker: 'Fenwick & Daughter',
  model: 'Sanderling',
  serial: 'FD-031',
  owner: ids.owner,
  notes: 'Rebuilt twice by others. Holes of 8 mm, a stripped strap pin, a route in sight.',
  kind: 'bolt-on solid',
  identity: {},
  archived: false,
};

export const sanderlingAnatomy: AnatomyRevision = {
  instrument: ids.sanderling,
  revision: 1,
  document: anatomy(),
  cause: 'correction',
  entry: null,
  person: ids.ben,
  at: '2026-11-05T09:10:00.000Z',
};

export const sanderlingJob: Job = {
  id: ids.jobThird,
  instrument: ids.sanderling,
  title: 'New electronics and tuners',
  request: { kind: 'humbucker', reversibleOnly: false, doNotTouch: [] },
  ownerSays: 'Reliable and modern under the hood; the old face may stay.',
  look: 'No new holes in sight.',
  limits: { budget: 60000, due: null },
  worth: 110000,
  active: true,
};

const at = (feature: string, part: number, screw?: number) =>
  newHardwareChoice(
    screw === undefined ? feature : `${feature} screw ${screw + 1}`,
    screw === undefined ? { on: 'feature', feature } : { on: 'feature', feature, screw },
    ids.part(part),
  );

const fourLeads = (choice: PickupChoice): PickupChoice => ({ ...choice, alternatives: [ids.slimTwoCoil], leadsNeeded: 4 });

/** Eight places, and hardly one that is free of clashes. */
export const sanderlingPlan: Plan = {
  format: 5,
  choices: [
    fourLeads(newPickupChoice('neck pickup', ids.wideTwoCoil)),
    at('volume hole', 1),
    at('tone hole', 4),
    at('switch slot', 5),
    at('jack hole', 9),
    at('strap hole', 19),
    at('tuner 1', 17),
    at('control cover', 21, 0),
  ],
};
