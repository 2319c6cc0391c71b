import { anatomyFromSizes, type Anatomy } from '@rinnovo/core/instrument';
import { roundedRectangle } from '@rinnovo/core/shape';

const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const box = (width: number, height: number, y = 100): { x: number; y: number; width: number; height: number; corner: number } => ({
  x: 0,
  y,
  width,
  height,
  corner: 4,
});
const outline = roundedRectangle(70, 20, 4);
const dimension = { value: 16.5, limit: 0.05, basis: { kind: 'sheet' as const, part: id(1) } };
const shape = { outline, limit: 0.05, basis: { kind: 'sheet' as const, part: id(1) } };

const whole: Anatomy = anatomyFromSizes(
  {
    strings: 6,
    frets: 22,
    scale: 640,
    nutToMouth: 395,
    spreadAtNut: 35.5,
    spreadAtSaddles: 52,
    body: box(320, 430, 170),
    thickness: 44,
    pocketWidth: 56,
    pocketLength: 74,
    pocketDepth: 16,
    route: box(88, 22),
    routeDepth: 18,
    plate: box(118, 58),
    plateThickness: 2,
    window: box(70, 39),
    back: box(40, 60, 190),
    backDepth: 14,
  },
  id(9),
);

const plan = {
  format: 1 as const,
  position: 'pickup',
  part: id(1),
  insertFitted: false,
  leadsWanted: 4,
  route: { at: { x: 0, y: 102, turn: 0 }, pockets: [{ id: 'main', outline, depth: 18, bored: false }] },
};

const seen = [{ id: 'floor/route/found', clearance: 11.5 }];

/** A good one of each, for specs. */
export const examples = {
  anatomy: {
    ...whole,
    frames: [{ id: 'plate frame', at: { x: 0, y: 102, turn: 0 } }],
    holes: [
      {
        id: 'hole',
        name: 'Hole',
        kind: 'pot' as const,
        face: 'top' as const,
        frame: 'body',
        at: { x: 70, y: 210 },
        diameter: dimension,
        bare: dimension,
        through: false,
        depth: dimension,
        limit: 0.25,
        basis: { kind: 'told' as const },
        hiddenBy: 'plate',
        condition: 'chipped' as const,
      },
    ],
    distances: [
      {
        id: 'd',
        axis: 'across' as const,
        from: { of: 'centre line', side: 'middle' as const },
        to: { of: 'hole', side: 'high' as const },
        value: 31.2,
        limit: 0.25,
        raw: '31.2',
      },
    ],
  },
  blindSession: { id: id(2), instrument: id(3), target: { quantity: 'pocketDepth', feature: 'route', part: 'old' }, tool: 'calliper', zeroed: true },
  chooseRemedy: { job: id(4), planVersion: 1, revision: 1, option: 'keep', reason: 'because', seen },
  clearToCut: { job: id(4), decision: id(5), planVersion: 2, revision: 2, accepted: [{ verdict: 'floor/route', reason: 'it holds' }], seen },
  instrument: {
    id: id(3),
    label: 'One',
    maker: 'Nobody',
    model: 'None',
    serial: '1',
    owner: id(6),
    notes: 'note',
    kind: 'bass' as const,
    identity: { year: { value: '1990', basis: 'guessed' as const, why: 'the pots' } },
    archived: false,
  },
  job: {
    id: id(4),
    instrument: id(3),
    title: 'Work',
    wish: { kind: 'humbucker' as const, reversibleOnly: false, doNotTouch: ['pickup'] },
    ownerSays: 'please',
    look: 'as it is',
    limits: { budget: 25000, due: '2026-12-24' },
    worth: 90000,
    active: true,
  },
  keepOutline: { name: 'Wide window', outline, limit: 0.1, source: { file: 'window.svg', kind: 'svg' as const, text: '<svg/>' } },
  logStep: {
    operation: id(7),
    step: '1 cut',
    outcome: 'done' as const,
    mishap: 'tooDeep' as const,
    note: 'note',
    minutes: 6,
    measured: { value: 6, limit: 0.05, raw: '6', tool: 'gauge' },
    seen: { projection: 18 },
  },
  outline,
  person: { id: id(6), name: 'Nell', role: 'technician' as const },
  pickup: {
    format: 1 as const,
    id: id(1),
    kind: 'humbucker' as const,
    name: 'Two coils',
    levels: [{ id: 'base' as const, shapes: [shape], from: 13, lowest: dimension }],
    screws: { at: [{ x: -39, y: 0 }], diameter: 2.5, lowest: dimension },
    poles: { spacing: dimension, rows: [-9] },
    leads: 4,
    price: 100,
    inStock: true,
  },
  plan,
  putAway: { away: true },
  reorderWork: { order: [id(7)] },
  savePlan: { revision: 1, plan },
  saveSettings: { own: { passDepth: 5 } },
  takeReading: {
    instrument: id(3),
    target: { quantity: 'bodyThickness', feature: 'body' },
    value: 41.5,
    limit: 0.05,
    raw: '41.5',
    tool: 'calliper',
    session: id(8),
    survey: id(9),
    corrects: id(10),
  },
  beginSurvey: { instrument: id(3), kind: 'as found' as const, strings: '10–46', tuning: 'standard', wanted: ['setUp' as const] },
  changeSurvey: {
    strings: '10–46',
    tuning: 'standard',
    wanted: ['setUp' as const],
    skipped: [{ target: { quantity: 'rodTurns' as const, feature: 'neck' }, reason: 'seized' }],
    holder: id(6),
  },
  keepFinding: {
    instrument: id(3),
    survey: id(9),
    rule: 'reliefHigh' as const,
    feature: 'route',
    says: 'a crack',
    severity: 'watch' as const,
    job: id(4),
    done: false,
    withdrawn: false,
  },
  keepProfile: { name: 'plays well', survey: id(9) },
};
