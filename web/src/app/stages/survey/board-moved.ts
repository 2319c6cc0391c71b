import { BOARD_WOODS, drawnBack, moistureWithin } from '@rinnovo/core/moisture';
import type { LengthUnit } from '@rinnovo/core/measure';
import type { StateOf } from '@rinnovo/core/survey';
import { lengthText, fixed, withUnit } from '@rinnovo/words';

/** The middle of what a room should have, % [trade: docs/trade/moisture.md, moisture]. */
const HOME = 50;

/** What the room has done to the fingerboard, with its sum; null where humidity or temperature is not known. */
export function boardText(s: StateOf, wood: string, unit: LengthUnit): string | null {
  const [humidity, celsius, width] = [s.at('humidity', 'room')?.reading, s.at('temperature', 'room')?.reading, s.surveyed.anatomy.neck.endWidth];
  if (!humidity || !celsius) return null;
  const here = moistureWithin(humidity, celsius);
  const holds = `At equilibrium here, wood holds ${withUnit(fixed(here.value, 1), '%')} moisture (${fixed(here.least, 1)} to ${fixed(here.most, 1)}).`;
  if (!width) return `${holds} Measure the width at the end of the board to see how far it shrank.`;
  const known = (Object.keys(BOARD_WOODS) as (keyof typeof BOARD_WOODS)[]).find((w) => wood.toLowerCase().includes(w));
  const name = known ?? 'maple';
  const back = drawnBack(width.value, BOARD_WOODS[name], { humidity, celsius }, HOME);
  const of = known ? name : `${name}, as the wood of the board is unknown`;
  return (
    `${holds} A board ${lengthText(width.value, unit)} wide of ${of}, at home at ${HOME}\u202f%, has drawn back ` +
    `${lengthText(back.least, unit)} (quarter-sawn) to ${lengthText(back.most, unit)} (flat-sawn) on each side, or less where neck and finish hold it. ` +
    'Two weeks at 50 to 60 % reverse it.'
  );
}
