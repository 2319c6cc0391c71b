import type { StateId, StateTarget } from '../quantity/index.js';
import { type Surveyed } from './surveyed.js';
import { placesOf } from './places.js';
import type { StateOf, StateReading } from './state-of.js';

/** The rounds of an inspection: strings on and played, measured, still closed, strings off. */
export type RoundId = 'stop' | 'room' | 'played' | 'stringsOn' | 'closed' | 'stringsOff' | 'opened' | 'finish';

/** In which order a survey asks [trade: docs/trade/survey.md, order of inspection]. */
const ROUNDS: readonly (readonly [RoundId, readonly StateId[]])[] = [
  ['stop', ['stopSign']],
  ['room', ['humidity', 'temperature']],
  ['played', ['symptom']],
  [
    'stringsOn',
    [
      'relief',
      'reliefTreble',
      'reliefAt',
      'action',
      'nutGap',
      'edgeGap',
      'saddleTravel',
      'saddleRoom',
      'bridgeOffset',
      'stringsOverTop',
      'saddleShown',
      'planeOverBridge',
      'pickupHeight',
      'poleOffset',
      'intonation',
      'breakAngle',
      'tremoloRest',
    ],
  ],
  ['closed', ['resistance', 'splitState', 'pairResistance', 'toneResistance', 'inductance', 'tapTest', 'groundResistance', 'supply']],
  [
    'stringsOff',
    ['jointGap', 'jointLine', 'rodFeel', 'rodTurns', 'looseFrets', 'fretRock', 'fretHeight', 'fretEnds', 'bridgeLift', 'topShape', 'topCrack', 'tuners'],
  ],
  ['opened', ['screws', 'shieldResistance']],
  ['finish', ['finish']],
];

/** One quantity at all of its places. */
export interface Step {
  readonly quantity: StateId;
  readonly places: readonly StateTarget[];
}

export interface Round {
  readonly id: RoundId;
  readonly steps: readonly Step[];
}

/** The rounds and steps of this instrument: what it does not have is not asked. */
export function inspectionOf(s: Surveyed): readonly Round[] {
  return ROUNDS.map(([id, quantities]) => ({
    id,
    steps: quantities.map((quantity) => ({ quantity, places: placesOf(quantity, s) })).filter((x) => x.places.length > 0),
  })).filter((r) => r.steps.length > 0);
}

/** What of a kind is judged before what: nothing downstream is judged while something upstream is wrong [trade]. */
const CHAIN: readonly (readonly StateId[])[] = [
  ['humidity'],
  ['jointGap'],
  ['relief'],
  ['fretRock', 'fretHeight'],
  ['nutGap'],
  ['action', 'saddleTravel'],
  ['pickupHeight'],
  ['intonation'],
];

/** Judged as soon as the room is right, whatever else is. */
const AFTER_ROOM: ReadonlySet<StateId> = new Set<StateId>(['fretEnds', 'stringsOverTop', 'saddleShown', 'planeOverBridge']);

/** Where in the order of judging a state stands; what has no place in it stands last. */
export function chainOf(id: StateId): number {
  const row = CHAIN.findIndex((r) => r.includes(id));
  return row < 0 ? Infinity : row;
}

/** What has to be put right before a state can be judged: the first thing upstream that is outside its aim; null: it can be judged. */
export function waitsFor(id: StateId, state: StateOf): StateReading | null {
  const row = AFTER_ROOM.has(id) ? 1 : CHAIN.findIndex((r) => r.includes(id));
  if (row < 1) return null;
  for (const upstream of CHAIN.slice(0, row).flat()) {
    const wrong = state.of(upstream).find((t) => t.standing === 'low' || t.standing === 'high');
    if (wrong) return wrong;
  }
  return null;
}
