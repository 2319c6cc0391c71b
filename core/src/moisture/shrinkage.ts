import { moistureWithin, type Bounded, type Read } from './equilibrium.js';

/** Change of width for each 1 % of moisture, as a part of the width: quarter-sawn (radial) and flat-sawn (tangential). */
export interface Movement {
  readonly radial: number;
  readonly tangential: number;
}

/** Boards of this trade, valid from 6 to 14 % [std: Wood Handbook FPL-GTR-282 ch. 13, from memory; rosewood and ebony estimated from total shrinkage, memory]. */
export const BOARD_WOODS: Readonly<Record<'maple' | 'rosewood' | 'ebony', Movement>> = {
  maple: { radial: 0.00165, tangential: 0.00353 },
  rosewood: { radial: 0.0009, tangential: 0.00193 },
  ebony: { radial: 0.0018, tangential: 0.0026 },
};

/**
 * How far a board as wide as `width` mm can have drawn back from its fret ends on each side, mm, since it was at home at the wished humidity:
 * from nothing the wood must have done (quarter-sawn, the air just inside its limits) to the most it can have (flat-sawn).
 * An upper bound: the neck below and the finish hold it back. 54 mm of maple from 50 to 30 % at 21 °C: 0.13 a side quarter-sawn, 0.29 flat-sawn.
 */
export function drawnBack(width: number, wood: Movement, air: { readonly humidity: Read; readonly celsius: Read }, home: number): Bounded {
  const there = moistureWithin({ value: home, limit: 0 }, air.celsius);
  const here = moistureWithin(air.humidity, air.celsius);
  const side = (share: number, loss: number): number => (Math.max(0, loss) * share * width) / 2;
  const middle = (wood.radial + wood.tangential) / 2;
  return {
    value: side(middle, there.value - here.value),
    least: side(wood.radial, there.least - here.most),
    most: side(wood.tangential, there.most - here.least),
  };
}
