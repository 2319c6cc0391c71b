import { constant } from '../measure/index.js';

/** Rise of the resistance of copper, per kelvin at 20 °C. */
const COPPER = constant(0.00393, 'std', 'Copper with temperature');
/** The temperature at which values are stated, °C. */
export const STATED_AT = 20;

/** By how much a coil's resistance is more than at 20 °C; 10 °C: 0.9607, so that 8.00 kΩ reads 7.69 [std: IEC 60028, value from memory]. */
export function copperFactor(celsius: number): number {
  return 1 + COPPER.value * (celsius - STATED_AT);
}

/** The air at the instrument, °C. */
export interface Room {
  readonly celsius: number;
  readonly limit: number;
}

/** What is taken where nobody read the thermometer: 20 °C within 5 [memory: docs/trade/wire.md, Copper with temperature]. */
export const USUAL_ROOM: Room = { celsius: STATED_AT, limit: constant(5, 'memory', 'Copper with temperature').value };
