/** What a value of a circuit is of, for whether it is likely. */
export type ValueOf = 'coil resistance' | 'coil inductance' | 'coil capacitance' | 'coil loss' | 'track' | 'capacitor' | 'resistor' | 'cell';

/** From and to, in Ω, H, F, V: what parts of this trade have [memory: docs/trade/wire.md, Likely values]. */
const LIKELY: Readonly<Record<ValueOf, readonly [number, number]>> = {
  'coil resistance': [500, 40_000],
  'coil inductance': [0.2, 15],
  'coil capacitance': [10e-12, 600e-12],
  'coil loss': [50_000, 5e6],
  track: [5000, 5e6],
  capacitor: [50e-12, 1e-6],
  resistor: [10, 10e6],
  cell: [1.2, 36],
};

/** Why a value is not likely, with what was probably meant; null: it is likely. `7.4` of a coil means 7.4 k, `500` of a pot 500 k, `1k` of a pot 1 M. */
export interface Improbable {
  readonly least: number;
  readonly most: number;
  /** The value a thousand times more or less, where that is likely. */
  readonly meant: number | null;
}

export function improbableValue(of: ValueOf, value: number): Improbable | null {
  const [least, most] = LIKELY[of];
  if (value >= least && value <= most) return null;
  const meant = [value * 1000, value / 1000].find((v) => v >= least && v <= most) ?? null;
  return { least, most, meant };
}
