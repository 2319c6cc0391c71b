import { isOpenCircuit } from './open-circuit.js';

/** What a survey reads of an instrument's state, beside the dimensions of its anatomy. */
export type StateId =
  | 'stopSign'
  | 'symptom'
  | 'humidity'
  | 'temperature'
  | 'relief'
  | 'reliefTreble'
  | 'reliefAt'
  | 'action'
  | 'nutGap'
  | 'saddleTravel'
  | 'edgeGap'
  | 'intonation'
  | 'pickupHeight'
  | 'resistance'
  | 'groundResistance'
  | 'jointGap'
  | 'rodTurns'
  | 'fretRock'
  | 'fretHeight'
  | 'fretEnds'
  | 'stringsOverTop'
  | 'saddleShown'
  | 'planeOverBridge'
  | 'bridgeLift'
  | 'rodFeel'
  | 'looseFrets'
  | 'jointLine'
  | 'screws'
  | 'finish'
  | 'topShape'
  | 'topCrack'
  | 'tremoloRest'
  | 'supply'
  | 'breakAngle'
  | 'poleOffset'
  | 'tuners'
  | 'tapTest'
  | 'shieldResistance'
  | 'pairResistance'
  | 'toneResistance'
  | 'inductance'
  | 'splitState'
  | 'partResistance'
  | 'partCapacitance'
  | 'partInductance'
  | 'harnessResistance'
  | 'jackResistance'
  | 'tapAt'
  | 'stringAt'
  | 'supplyCurrent'
  | 'saddleRoom'
  | 'bridgeOffset';

/** A choice is kept as the number of its answer. */
export type Unit = 'mm' | '%' | '°C' | 'cents' | 'Ω' | 'V' | 'H' | 'nF' | 'mA' | '°' | 'turns' | 'choice';

/** Of what there is one value each. */
export type PlaceKind =
  | 'sign'
  | 'symptom'
  | 'room'
  | 'neck'
  | 'string'
  | 'edge'
  | 'fret'
  | 'along'
  | 'pickup'
  | 'pickup pair'
  | 'pickup side'
  | 'metal'
  | 'bridge'
  | 'body'
  | 'tremolo'
  | 'battery'
  | 'end'
  | 'cavity'
  | 'circuit';

/** What reads it, where that is no length tool of the shop. */
export type StateTool =
  | 'eye'
  | 'ear'
  | 'finger'
  | 'hygrometer'
  | 'thermometer'
  | 'feeler gauge'
  | 'string gauge'
  | 'calliper'
  | 'rule'
  | 'tuner'
  | 'meter'
  | 'simulated meter'
  | 'rod key'
  | 'rocker';

export interface StateQuantity {
  readonly id: StateId;
  readonly unit: Unit;
  /** Outside this range nothing can be. [memory] */
  readonly min: number;
  readonly max: number;
  readonly of: PlaceKind;
  readonly by: StateTool;
  /** Usual limit of error of that tool, in the unit; 0.5 of a choice: it is one or the other. [memory] */
  readonly limit: number;
  /** A part of the value that the limit is besides, for a meter. */
  readonly share?: number;
  /** What a bare number that is typed means, in the unit: 1000 of what is read in thousands. */
  readonly bare?: number;
  /** A note where somebody knows it: nothing asks for it. */
  readonly note?: true;
  /** It may be open: more than the meter can tell. */
  readonly open?: true;
  /** The answers of a choice, in the order of their numbers. */
  readonly choices?: readonly string[];
}

type Read = Pick<StateQuantity, 'of' | 'by' | 'limit'> & Partial<StateQuantity>;

/** A number between two others, and how it is read. */
const q = (id: StateId, unit: Unit, [min, max]: readonly [number, number], read: Read): StateQuantity => ({ id, unit, min, max, ...read });
const choice = (id: StateId, of: PlaceKind, by: StateTool, choices: readonly string[]): StateQuantity => ({
  id,
  unit: 'choice',
  min: 0,
  max: choices.length - 1,
  of,
  by,
  limit: 0.5,
  choices,
});

/** What a bench meter reads, Ω; beyond it shows OL. */
const METERED = [0, 20e6] as const;

/** Every quantity of a survey. A hygrometer is at best ±3 % [trade]; a meter 1 % and 3 digits [trade]; the other limits from memory. */
export const STATES: Readonly<Record<StateId, StateQuantity>> = {
  stopSign: choice('stopSign', 'sign', 'eye', ['no', 'yes']),
  symptom: choice('symptom', 'symptom', 'ear', ['no', 'yes']),
  humidity: q('humidity', '%', [5, 95], { of: 'room', by: 'hygrometer', limit: 3 }),
  temperature: q('temperature', '°C', [-5, 45], { of: 'room', by: 'thermometer', limit: 1 }),
  relief: q('relief', 'mm', [-5, 10], { of: 'neck', by: 'feeler gauge', limit: 0.03 }),
  reliefTreble: q('reliefTreble', 'mm', [-5, 10], { of: 'neck', by: 'feeler gauge', limit: 0.03 }),
  reliefAt: q('reliefAt', 'mm', [-5, 10], { of: 'along', by: 'feeler gauge', limit: 0.03 }),
  action: q('action', 'mm', [0.3, 8], { of: 'string', by: 'string gauge', limit: 0.1 }),
  nutGap: q('nutGap', 'mm', [0, 2], { of: 'string', by: 'feeler gauge', limit: 0.03 }),
  saddleTravel: q('saddleTravel', '%', [0, 100], { of: 'string', by: 'eye', limit: 5 }),
  edgeGap: q('edgeGap', 'mm', [0, 12], { of: 'edge', by: 'calliper', limit: 0.1 }),
  intonation: q('intonation', 'cents', [-60, 60], { of: 'string', by: 'tuner', limit: 1 }),
  pickupHeight: q('pickupHeight', 'mm', [0.2, 10], { of: 'pickup side', by: 'calliper', limit: 0.1 }),
  resistance: q('resistance', 'Ω', METERED, { of: 'pickup', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  groundResistance: q('groundResistance', 'Ω', METERED, { of: 'metal', by: 'meter', limit: 0.3, share: 0.01, open: true }),
  jointGap: q('jointGap', 'mm', [0, 4], { of: 'neck', by: 'feeler gauge', limit: 0.03 }),
  rodTurns: q('rodTurns', 'turns', [0, 6], { of: 'neck', by: 'rod key', limit: 0.125, note: true }),
  fretRock: q('fretRock', 'mm', [0, 1], { of: 'fret', by: 'rocker', limit: 0.01 }),
  fretHeight: q('fretHeight', 'mm', [0, 2], { of: 'fret', by: 'calliper', limit: 0.05 }),
  fretEnds: choice('fretEnds', 'neck', 'finger', ['nothing felt', 'lumps of finish', 'sharp along both sides', 'sharp on one side or a few']),
  stringsOverTop: q('stringsOverTop', 'mm', [2, 40], { of: 'bridge', by: 'rule', limit: 0.25 }),
  saddleShown: q('saddleShown', 'mm', [0, 12], { of: 'bridge', by: 'calliper', limit: 0.1 }),
  planeOverBridge: q('planeOverBridge', 'mm', [-12, 12], { of: 'bridge', by: 'rule', limit: 0.25 }),
  bridgeLift: q('bridgeLift', 'mm', [0, 60], { of: 'bridge', by: 'feeler gauge', limit: 0.5 }),
  rodFeel: choice('rodFeel', 'neck', 'rod key', ['it bites', 'it turns freely and nothing changes']),
  looseFrets: choice('looseFrets', 'neck', 'finger', ['none moves', 'one or more move or tap dull']),
  jointLine: choice('jointLine', 'neck', 'eye', ['none', 'a line that does not move', 'a line that opens on flexing']),
  screws: choice('screws', 'body', 'finger', ['all hold', 'one turns on and on', 'one stops hard before its seat', 'a new bush drops in']),
  finish: choice('finish', 'body', 'eye', ['sound', 'tacky where a stand or strap sat', 'white bloom', 'craters']),
  topShape: choice('topShape', 'bridge', 'eye', ['as built', 'belly behind the bridge, dip before it']),
  topCrack: choice('topCrack', 'bridge', 'eye', ['none', 'one opens and closes with the weather']),
  tremoloRest: choice('tremoloRest', 'tremolo', 'tuner', ['back to pitch', 'sharp from a dive and flat from a pull']),
  poleOffset: q('poleOffset', 'mm', [0, 15], { of: 'pickup side', by: 'rule', limit: 0.25 }),
  breakAngle: q('breakAngle', '°', [0, 60], { of: 'end', by: 'eye', limit: 3 }),
  tuners: choice('tuners', 'neck', 'finger', ['firm', 'one has play or slips', 'a screw or bushing is loose']),
  pairResistance: q('pairResistance', 'Ω', METERED, { of: 'pickup pair', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  toneResistance: q('toneResistance', 'Ω', METERED, { of: 'pickup', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  inductance: q('inductance', 'H', [0, 30], { of: 'pickup', by: 'meter', limit: 0.05, share: 0.03 }),
  splitState: choice('splitState', 'pickup', 'eye', ['both coils', 'split', 'coils in parallel']),
  saddleRoom: choice('saddleRoom', 'string', 'eye', ['room both ways', 'at its end towards the nut', 'at its end away from the nut']),
  bridgeOffset: q('bridgeOffset', 'mm', [-20, 20], { of: 'neck', by: 'rule', limit: 0.25 }),
  tapTest: choice('tapTest', 'pickup', 'ear', ['heard', 'silent']),
  shieldResistance: q('shieldResistance', 'Ω', METERED, { of: 'cavity', by: 'meter', limit: 1, share: 0.01, bare: 1000, open: true }),
  partResistance: q('partResistance', 'Ω', METERED, { of: 'circuit', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  partCapacitance: q('partCapacitance', 'nF', [0.01, 10_000], { of: 'circuit', by: 'meter', limit: 0.1, share: 0.03 }),
  partInductance: q('partInductance', 'H', [0.001, 100], { of: 'circuit', by: 'meter', limit: 0.05, share: 0.03 }),
  harnessResistance: q('harnessResistance', 'Ω', METERED, { of: 'circuit', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  jackResistance: q('jackResistance', 'Ω', METERED, { of: 'circuit', by: 'meter', limit: 30, share: 0.01, bare: 1000, open: true }),
  tapAt: choice('tapAt', 'circuit', 'ear', ['heard', 'weak or dull', 'silent']),
  stringAt: choice('stringAt', 'circuit', 'ear', ['full', 'thin or hollow', 'it hums', 'silent']),
  supplyCurrent: q('supplyCurrent', 'mA', [0, 200], { of: 'circuit', by: 'meter', limit: 0.02, share: 0.01 }),
  supply: q('supply', 'V', [0, 30], { of: 'battery', by: 'meter', limit: 0.03, share: 0.01 }),
};

/** A state of an instrument at one of its places. */
export interface StateTarget {
  readonly quantity: StateId;
  readonly feature: string;
  readonly part?: string;
}

export function isState(t: { readonly quantity: string }): t is StateTarget {
  return t.quantity in STATES;
}

/** The usual limit of error of a value, in its unit: a meter's 8000 Ω is ±110 [trade]; that it is open is no less sure for being much. */
export function usualLimit(quantity: StateId, value: number): number {
  const { limit, share } = STATES[quantity];
  return isOpenCircuit(value) ? limit : limit + (share ?? 0) * Math.abs(value);
}
