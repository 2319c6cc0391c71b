import { STATES, type StateId, type Unit } from '../quantity/index.js';

/** Between what a value lies on nearly every instrument that comes to a bench, in its unit [memory]. */
const USUAL: Readonly<Partial<Record<StateId, readonly [least: number, most: number]>>> = {
  humidity: [15, 85],
  temperature: [5, 35],
  relief: [-0.6, 1.5],
  reliefTreble: [-0.6, 1.5],
  reliefAt: [-0.6, 1.5],
  action: [0.7, 5],
  nutGap: [0, 1],
  edgeGap: [1, 7],
  intonation: [-40, 40],
  pickupHeight: [0.5, 7],
  resistance: [1000, 30_000],
  jointGap: [0, 2],
  fretRock: [0, 0.4],
  fretHeight: [0.3, 1.6],
  stringsOverTop: [5, 25],
  saddleShown: [0.5, 8],
  planeOverBridge: [-6, 6],
  breakAngle: [2, 45],
  supply: [1, 20],
};

/** Slips of the hand, the likeliest first: the point, the inch of a length, the k of a resistance. */
const POINT = [0.1, 10, 0.01, 100] as const;
const SLIPS: Readonly<Partial<Record<Unit, readonly number[]>>> = { mm: [0.1, 10, 25.4, 1 / 25.4, 0.01, 100], Ω: [...POINT, 1000, 0.001] };

/** A coil that is open behind a pot reads the pot: what may be one of the usual ones, a fifth off and a little more, is looked for, not explained away, Ω [trade]. */
const POTS = [250_000, 500_000, 1e6] as const;
const readsPot = (ohms: number): boolean => POTS.some((pot) => ohms >= pot * 0.75 && ohms <= pot * 1.25);

/** What was probably meant by a value that can be but hardly is; `meant` null: none of the usual slips explains it. */
export interface Improbable {
  readonly meant: number | null;
}

/** Challenges a value outside of what is usual: relief 2.5 mm was probably 0.25. null: there is nothing to challenge. */
export function improbable(id: StateId, value: number): Improbable | null {
  const usual = USUAL[id];
  const fits = (v: number): boolean => usual !== undefined && v >= usual[0] && v <= usual[1];
  if (!usual || fits(value)) return null;
  // an open or a shorted coil is what is looked for
  if (id === 'resistance' && (value < 50 || value > 2e6 || readsPot(value))) return null;
  const slip = (SLIPS[STATES[id].unit] ?? POINT).find((f) => fits(value * f));
  return { meant: slip === undefined ? null : value * slip };
}
