import { constant, parseLength, type LengthUnit } from '../measure/index.js';

export type Relation = 'justUnder' | 'under' | 'justOver' | 'over' | 'about' | 'equal';

/** A length that is said to be so beside another, mm; `off`: how much more it is. */
export interface Claim {
  readonly said: string;
  readonly mm: number;
  readonly other: number;
  readonly relation: Relation;
  readonly holds: boolean;
  readonly off: number;
}

/** Just under and about are within this of the other, as a share of it; two that are equal within a rounding, mm. */
const JUST = constant(0.15, 'memory', 'Claims beside numbers');
const ABOUT = constant(0.05, 'memory', 'Claims beside numbers');
const SAME = constant(0.05, 'memory', 'Claims beside numbers');

const LENGTH = String.raw`(?:\d{1,4}(?:\s+|-)\d{1,3}\/\d{1,3}|\d{1,3}\/\d{1,3}|\d{0,5}[.,]?\d{1,4})\s*(?:mm|cm|thou|inches|inch|in\b|")?`;
const WORDS: readonly (readonly [Relation, string])[] = [
  ['justUnder', String.raw`(?:just|a hair|a bit|slightly|barely|a touch)\s+(?:under|below|less than|short of)|nearly|almost`],
  ['justOver', String.raw`(?:just|a hair|a bit|slightly|barely|a touch)\s+(?:over|above|more than)`],
  ['under', String.raw`(?:under|below|less than|short of|at most)`],
  ['over', String.raw`(?:over|above|more than|at least)`],
  ['equal', String.raw`(?:exactly|equals|=|precisely)`],
  ['about', String.raw`(?:about|roughly|around|approximately|some|≈|or|\()`],
];
const RELATION = WORDS.map(([, words], i) => `(?<r${i}>${words})`).join('|');
const CLAIM = new RegExp(String.raw`(?<![\w./-])(?<a>${LENGTH}),?\s*(?:is\s+|that is\s+|which is\s+)?(?:${RELATION})\s*(?<b>${LENGTH})(?![\w/])`, 'giu');
/** Says of itself what it is measured in: a unit, or a fraction, which is inches. */
const TOLD = /mm|cm|thou|in|"|\//i;
/** No note is longer than this. */
const LONGEST = 4000;

/** What a text claims of lengths, each checked: *2 mm, just under 1/16* is not so: it is 0.41 over. A bare number is in the unit of the one beside it. */
export function claimsIn(text: string, unit: LengthUnit): readonly Claim[] {
  return [...text.slice(0, LONGEST).matchAll(CLAIM)].flatMap(({ 0: said, groups = {} }): readonly Claim[] => {
    const [a = '', b = ''] = [groups['a'], groups['b']];
    if (!TOLD.test(a) && !TOLD.test(b)) return [];
    const [one, other] = [lengthOf(a, unit), lengthOf(b, unit)];
    const relation = WORDS.find((_, i) => groups[`r${i}`] !== undefined)?.[0];
    if (one === null || other === null || !relation || one <= 0 || other <= 0) return [];
    const off = Math.round((one - other) * 1e6) / 1e6;
    return [{ said: said.trim(), mm: one, other, relation, holds: HOLDS[relation](off, other, roundingOf(a, unit) + roundingOf(b, unit)), off }];
  });
}

const HOLDS: Readonly<Record<Relation, (off: number, other: number, rounding: number) => boolean>> = {
  justUnder: (off, other) => off < 0 && -off <= other * JUST.value,
  under: (off) => off < 0,
  justOver: (off, other) => off > 0 && off <= other * JUST.value,
  over: (off) => off > 0,
  about: (off, other, rounding) => Math.abs(off) <= other * ABOUT.value + rounding,
  equal: (off, _, rounding) => Math.abs(off) <= Math.max(SAME.value, rounding),
};

function lengthOf(text: string, unit: LengthUnit): number | null {
  const p = parseLength(text.replace(/inches|inch/i, 'in').trim(), unit);
  return p.ok ? p.mm : null;
}

/** Half of the last digit of what is written as a decimal, mm; a fraction and a whole number are meant as they stand. */
function roundingOf(text: string, unit: LengthUnit): number {
  const digits = /[.,](\d+)/.exec(text)?.[1]?.length ?? 0;
  if (digits === 0 || text.includes('/')) return 0;
  const step = lengthOf(text.replace(/[\d.,]+/, '1'), unit) ?? 0;
  return (step * 10 ** -digits) / 2;
}
