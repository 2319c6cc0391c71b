/** A value with the least and the most that it can be within the limits of what it comes from. */
export interface Bounded {
  readonly value: number;
  readonly least: number;
  readonly most: number;
}

/** A reading with its limit of error, in its unit. */
export interface Read {
  readonly value: number;
  readonly limit: number;
}

/**
 * Moisture content of wood at rest in air of a relative humidity and a temperature, % of its dry weight.
 * 21 °C and 50 % give 9.2 [std: Wood Handbook FPL-GTR-282 ch. 4, equation 4-5 with its coefficients for °C, from memory].
 * Throws RangeError outside 0 to 100 % and −5 to 60 °C.
 */
export function equilibriumMoisture(humidity: number, celsius: number): number {
  if (!(humidity >= 0 && humidity <= 100)) throw new RangeError('relative humidity goes from 0 to 100 %');
  if (!(celsius >= -5 && celsius <= 60)) throw new RangeError('the equation is used from −5 to 60 °C');
  const [h, t] = [humidity / 100, celsius];
  const w = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * h;
  return (1800 / w) * (kh / (1 - kh) + (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh));
}

/** The same within the limits of both readings: it rises with humidity and falls with warmth, so opposite corners bound it. 50 ± 3 % at 21 ± 1 °C: 8.7 to 9.8. */
export function moistureWithin(humidity: Read, celsius: Read): Bounded {
  const at = (h: number, t: number): number => equilibriumMoisture(Math.min(100, Math.max(0, h)), Math.min(60, Math.max(-5, t)));
  return {
    value: at(humidity.value, celsius.value),
    least: at(humidity.value - humidity.limit, celsius.value + celsius.limit),
    most: at(humidity.value + humidity.limit, celsius.value - celsius.limit),
  };
}
