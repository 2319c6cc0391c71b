import type { YesLapse } from '@rinnovo/core/gate';
import { dateText, fixed, moneyText, withUnit } from './locale.js';

/** Why a yes no longer covers what is cut: “agreed at 213.90, now 225.00”. */
export function yesLapseText(lapse: YesLapse, titleOf: (verdict: string) => string): string {
  switch (lapse.kind) {
    case 'withdrawn':
      return `withdrawn ${dateText(lapse.at)}`;
    case 'owner':
      return `the owner was changed ${dateText(lapse.at)}`;
    case 'price':
      return `agreed at ${moneyText(lapse.was)}, now ${moneyText(lapse.now)}`;
    case 'choice':
      return 'another part or other work than agreed';
    case 'number':
      return `${titleOf(lapse.verdict)}: agreed at ${lengthOf(lapse.was)}, now ${lengthOf(lapse.now)}`;
  }
}

const lengthOf = (mm: number | null): string => (mm === null ? 'not measured' : withUnit(fixed(mm, 2), 'mm'));
