import type { Dimension } from '../measure/index.js';
import type { Reading } from '../quantity/index.js';
import { seeded } from '../testing/random.js';
import { blankAnatomy } from './blank.js';
import { acceptReading, type Anatomy } from './index.js';

const target = { quantity: 'bodyThickness', feature: 'body' } as const;
const valueAt = (a: Anatomy) => a.body.thickness;
const reading = (id: string, value: number, corrects: string | null = null, limit = 0.05): Reading => ({
  id,
  instrument: 'i',
  target,
  value,
  limit,
  raw: String(value),
  tool: 'calliper',
  person: 'p',
  at: '2026-01-01T10:00:00Z',
  blind: false,
  survey: 's',
  corrects,
});
const resting = (thickness: Dimension | null): Anatomy => {
  const a = blankAnatomy();
  return { ...a, body: { ...a.body, thickness } };
};
const onReadings = (value: number, ...ids: string[]): Anatomy => resting({ value, limit: 0.05, basis: { kind: 'readings', ids } });

describe('a correction', () => {
  it('does not undo done work: what was worked since the corrected reading stands', () => {
    const worked = resting({ value: 9.8, limit: 0.1, basis: { kind: 'work', entry: 'e' } });
    const old = reading('a', 7.9);
    expect(acceptReading(worked, reading('b', 8, 'a'), [old])).toBe(worked);
  });

  it('does not replace a value that rests on newer readings', () => {
    const a = onReadings(44.2, 'new');
    expect(acceptReading(a, reading('b', 40, 'old'), [reading('old', 41), reading('new', 44.2)])).toBe(a);
  });

  it('takes the place of the reading that it corrects, and keeps what agrees beside it', () => {
    const a = acceptReading(onReadings(44, 'a', 'b'), reading('c', 44.04, 'b'), [reading('a', 44), reading('b', 44)]);
    expect(valueAt(a)).toEqual({ value: jasmine.any(Number), limit: 0.05, basis: { kind: 'readings', ids: ['a', 'c'] } });
    expect(valueAt(a)!.value).toBeCloseTo(44.02, 9);
    const far = acceptReading(onReadings(44, 'a', 'b'), reading('c', 45, 'b'), [reading('a', 44), reading('b', 44)]);
    expect(valueAt(far)?.value).toBe(45);
  });

  it('of a correction that changed nothing changes nothing either', () => {
    const worked = resting({ value: 9.8, limit: 0.1, basis: { kind: 'work', entry: 'e' } });
    const list = [reading('a', 7.9), reading('b', 8, 'a')];
    expect(acceptReading(worked, reading('c', 8.1, 'b'), list)).toBe(worked);
  });
});

describe('a reading that corrects none', () => {
  it('is what stands, whatever stood: 200 seeded values', () => {
    const r = seeded(16);
    for (let i = 0; i < 200; i++) {
      const value = Math.round(r() * 4000) / 100 + 5;
      const before = r() < 0.5 ? resting(null) : resting({ value: 9.8, limit: 0.1, basis: { kind: 'work', entry: 'e' } });
      expect(valueAt(acceptReading(before, reading('n', value), []))?.value).toBe(value);
    }
  });
});
