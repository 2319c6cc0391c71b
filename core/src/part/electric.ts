/** The units in which the values of a circuit are kept. */
export type ElectricUnit = 'Ω' | 'H' | 'F' | 'V' | 'A' | 'times' | 'count' | '%';

/** A value with its unit, and the least and the most that can be at all [memory: docs/trade/part.md, Electric values]. */
interface Electric {
  readonly unit: ElectricUnit;
  readonly range: readonly [number, number];
}

/** What a part that feeds or carries the signal is marked with, beside a pot's track and a pickup's coils. */
export const ELECTRIC = {
  ohms: { unit: 'Ω', range: [0.1, 1e9] },
  farad: { unit: 'F', range: [1e-12, 1e-3] },
  volt: { unit: 'V', range: [0.5, 60] },
  gain: { unit: 'times', range: [0.01, 1000] },
  sourceOhms: { unit: 'Ω', range: [1, 1e7] },
  inputOhms: { unit: 'Ω', range: [1000, 1e11] },
  supply: { unit: 'A', range: [1e-7, 0.2] },
  rows: { unit: 'count', range: [1, 24] },
  tolerance: { unit: '%', range: [0.1, 50] },
} as const satisfies Readonly<Record<string, Electric>>;
export type ElectricId = keyof typeof ELECTRIC;
export const ELECTRIC_IDS = Object.keys(ELECTRIC) as readonly ElectricId[];

/** The values of a part, each in its unit. */
export type ElectricValues = Readonly<Partial<Record<ElectricId, number>>>;
