import type { LengthUnit } from '@rinnovo/core/measure';
import type { Claim, Relation } from '@rinnovo/core/survey';
import { lengthText } from '../length.js';

const NOT: Readonly<Record<Relation, string>> = {
  justUnder: 'not just under',
  under: 'not under',
  justOver: 'not just over',
  over: 'not over',
  about: 'not about the same',
  equal: 'not the same',
};

/** What comes of a length that is said to be so beside another: `2.00 mm is 0.41 mm more than 1.59 mm: not just under.` */
export function claimText({ mm, other, off, relation, holds }: Claim, unit: LengthUnit): string {
  const text = (v: number): string => lengthText(v, unit);
  const by = Math.abs(off) < 0.005 ? 'the same as' : `${text(Math.abs(off))} ${off > 0 ? 'more' : 'less'} than`;
  return `${text(mm)} is ${by} ${text(other)}${holds ? ', as noted' : `: ${NOT[relation]}`}`;
}
