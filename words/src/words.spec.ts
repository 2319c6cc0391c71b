import type { Corner, Verdict } from '@rinnovo/core/check';
import { leaf, sum, setting, type Working } from '@rinnovo/core/measure';
import { OPERATIONS } from '@rinnovo/core/operation';
import { RULES } from '@rinnovo/core/order';
import {
  CAUTION_WORDS,
  OPERATION_WORDS,
  RULE_WORDS,
  clearanceText,
  exclusionText,
  gateText,
  lengthText,
  otherLengthText,
  targetText,
  verdictSentence,
  workingLines,
} from './index.js';

const names = { 'back cavity': 'long back cavity', plate: 'neck pickup plate', window: 'wide window', found: 'old route', planned: 'new route' };

function verdictOf(more: Partial<Verdict>): Verdict {
  return {
    id: 'x',
    check: 'floor',
    choice: 'neck pickup',
    subject: { feature: 'neck route', item: 'planned/25.000', against: 'back cavity' },
    unit: 'mm',
    at: null,
    working: null,
    missing: [],
    typical: false,
    clearance: 4.5,
    worst: 0.3,
    rss: 0.2,
    wanted: 5,
    class: 'thin',
    ...more,
  };
}

describe('lengths', () => {
  it('stand in the chosen unit, with the other beside it', () => {
    expect(lengthText(22.225, 'mm')).toBe('22.23 mm');
    expect(lengthText(22.225, 'fraction')).toBe('7/8 in');
    expect(lengthText(22.225, 'inch')).toBe('0.875 in');
    expect(otherLengthText(27.78125, 'mm')).toBe('1 3/32 in');
  });

  it('tell the deviation of a fraction and use a true minus', () => {
    expect(lengthText(10, 'fraction')).toBe('25/64 in +0.08 mm');
    expect(lengthText(-2, 'mm')).toBe('−2.00 mm');
    expect(lengthText(-0.001, 'mm')).toBe('0.00 mm');
  });
});

describe('verdicts', () => {
  it('become a sentence with number, limit and what is wanted', () => {
    expect(verdictSentence(verdictOf({}), names, 'mm')).toBe(
      'Floor under the new route at 25.0, to long back cavity: clears, thin, 4.50 mm ± 0.30, 5.00 mm wanted.',
    );
  });

  it('say of the smallest corner which radii meet and what would still do', () => {
    const v = verdictOf({ check: 'smallestCorner', class: 'well', clearance: 0.75, worst: 0.15, subject: { feature: 'pickup' } });
    const sentence = (radii: Corner): string => verdictSentence({ ...v, corner: { ...radii, level: 'base' } }, names, 'mm');
    expect(sentence({ ofPart: 3, ofRoute: 4.7625, most: 6.58 })).toBe(
      'Smallest corner, base: clears, 0.75 mm ± 0.15; radius 3.00 mm in radius 4.76 mm; at most radius 6.58 mm would let it in.',
    );
    expect(sentence({ ofPart: 0, ofRoute: 0, most: 2 })).toContain('a sharp corner in a sharp corner');
  });

  it('give number and limit in one unit', () => {
    // 4.5 mm is 0.177 in, 0.3 mm is 0.012 in
    expect(clearanceText(verdictOf({}), 'inch')).toBe('0.177 in ± 0.012 in');
    expect(clearanceText(verdictOf({ clearance: 7.9375 }), 'fraction')).toBe('5/16 in ± 0.012 in');
  });

  it('name what is missing', () => {
    const v = verdictOf({ class: 'notMeasured', clearance: null, worst: null, missing: [{ quantity: 'bodyThickness', feature: 'body' }] });
    expect(verdictSentence(v, names, 'mm')).toContain('not measured; missing body thickness.');
    expect(clearanceText(v, 'mm')).toBe('—');
  });

  it('count leads in words', () => {
    expect(clearanceText(verdictOf({ check: 'leads', unit: 'count', clearance: -2 }), 'mm')).toBe('2 too few');
  });
});

describe('targets', () => {
  it('say what is measured and where', () => {
    expect(targetText({ quantity: 'pocketDepth', feature: 'back cavity', part: 'floor' }, names)).toBe('long back cavity, depth');
    expect(targetText({ quantity: 'checkWidthAcross', feature: 'plate', part: 'window' }, names)).toBe('wide window, width across');
    expect(targetText({ quantity: 'bodyThickness', feature: 'body' }, names)).toBe('body thickness');
  });
});

describe('workings', () => {
  it('open from the result down to what each number rests on', () => {
    const w: Working = sum(
      'floorLeft',
      [1, leaf('bodyThickness', { value: 41.5, limit: 0.05, basis: { kind: 'readings', ids: ['r'] } })],
      [-1, setting('depthWanted', 18, 'depth')],
    );
    const lines = workingLines(w, 'mm');
    expect(lines.map((l) => `${l.depth} ${l.text} ${l.value} ${l.limit}`.trim())).toEqual([
      '0 wood left 23.50 mm',
      '1 + body thickness 41.50 mm ± 0.05',
      '1 − depth wanted 18.00 mm',
    ]);
    expect(lines[1]?.basis?.kind).toBe('readings');
  });
});

describe('words', () => {
  it('exist for every operation, caution and rule of the core', () => {
    for (const o of Object.values(OPERATIONS)) {
      expect(OPERATION_WORDS[o.kind]).withContext(o.kind).toBeTruthy();
      for (const c of o.cautions) expect(CAUTION_WORDS[c]).withContext(c).toBeTruthy();
    }
    for (const r of RULES) expect(RULE_WORDS[r.id]).withContext(r.id).toBeTruthy();
  });

  it('tell how a gate stands', () => {
    const target = { quantity: 'bodyThickness', feature: 'body' } as const;
    expect(gateText({ kind: 'reading', target, state: 'one', ok: false }, names, String)).toBe('Measure a second time, blind: body thickness');
    expect(gateText({ kind: 'thin', verdict: 'v', ok: false }, names, () => 'Floor')).toBe('Floor: thin; accept it with a reason');
  });

  it('say why a remedy is off the list', () => {
    expect(exclusionText({ kind: 'strength', verdict: 'v', left: -4.8, least: 2 })).toContain('−4.8 mm');
    expect(exclusionText({ kind: 'unsolved', clashes: 1 })).toContain('one clash');
  });
});
