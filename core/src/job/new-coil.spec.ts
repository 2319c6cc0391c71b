import { stepFlaw } from '../house/index.js';
import { OPEN, usualLimit } from '../quantity/index.js';
import { plainChoice, plainState } from '../testing/plan.js';
import type { StepAtHand, StepSaid } from './index.js';

describe('a new pickup on the bench', () => {
  const target = { quantity: 'partResistance' as const, feature: 'here', part: 'coil' };
  const at: StepAtHand = {
    card: { asks: { what: 'resistance', role: 'proves', target, expected: 4000, limit: 486 } },
    choice: plainChoice(),
    state: plainState(),
  };
  const of = (said: Partial<StepSaid>): string | null => stepFlaw(at, { outcome: 'done', wrong: null, measured: null, ...said })?.what ?? null;
  const read = (value: number, tool = 'meter') => ({ value, limit: usualLimit('partResistance', value), tool });

  it('is not done with a coil that is open or shorted, nor with another tool than a meter', () => {
    expect([of({}), ...[4000, 7400, OPEN, 2, 5, 6].map((ohms) => of({ measured: read(ohms) }))]).toEqual([
      'resistanceMissing',
      null,
      null,
      'deadCoil',
      'deadCoil',
      'deadCoil',
      null,
    ]);
    expect(of({ measured: read(4000, 'nobody’s') })).toBe('unknownTool');
  });

  it('is logged with what was read where it went wrong', () => {
    const wrong = { mishap: 'wrongPart' as const, flaw: null, cause: null, way: null, lesson: '' };
    expect(of({ outcome: 'wentWrong', wrong, measured: read(OPEN) })).toBeNull();
  });
});
