// 1/16 in is 1.5875 mm, 3/64 in 1.190625 [law].
import { claimsIn } from './index.js';

const said = (text: string, unit: 'mm' | 'fraction' = 'mm') => claimsIn(text, unit).map((c) => [c.relation, c.holds, Math.round(c.off * 100) / 100]);

describe('a claim beside a number', () => {
  it('is checked: 2 mm is not just under 1/16, 1.5 is', () => {
    expect(said('action 2 mm, just under 1/16')).toEqual([['justUnder', false, 0.41]]);
    expect(said('action 1.5 mm, just under 1/16')).toEqual([['justUnder', true, -0.09]]);
    // far under is not just under
    expect(said('0.9 mm, just under 1/16 in')).toEqual([['justUnder', false, -0.69]]);
    expect(claimsIn('gap of 2 mm, just under 1/16, seen from the side', 'mm')[0]).toEqual({
      said: '2 mm, just under 1/16',
      mm: 2,
      other: 1.5875,
      relation: 'justUnder',
      holds: false,
      off: 0.4125,
    });
  });

  it('of every usual wording', () => {
    expect(said('1.65 mm, a hair over 1/16"')).toEqual([['justOver', true, 0.06]]);
    expect(said('2 mm is more than 1/16 in')).toEqual([['over', true, 0.41]]);
    expect(said('1/8" (3.2 mm)')).toEqual([['about', true, -0.02]]);
    expect(said('1/16 in = 1.6 mm')).toEqual([['equal', true, -0.01]]);
    expect(said('1/16 in = 2 mm')).toEqual([['equal', false, -0.41]]);
    expect(said('3/64, less than 1.2 mm')).toEqual([['under', true, -0.01]]);
    expect(said('about 25 mm, roughly 1 in')).toEqual([['about', true, -0.4]]);
    expect(said('scale 648 mm, or 25-1/2"')).toEqual([['about', true, 0.3]]);
    expect(said('1 3/32 in, exactly 27.8 mm')).toEqual([['equal', true, -0.02]]);
  });

  it('is none where nothing is compared, or nobody knows in what unit', () => {
    for (const text of [
      'action 2 mm',
      'strings 5 and 6 buzz, over 12 too',
      'note 1/16 in, 2 mm',
      '9 to 42, under 3 hours',
      'relief .25; rh 48 t 20',
      '',
      '3 over 4',
    ])
      expect(said(text)).withContext(text).toEqual([]);
  });

  it('ends for whatever is typed', () => {
    const odd = '1/0 mm, just under 0 in; 1e999 mm over 2 mm; ' + '9'.repeat(400) + ' mm under 1 in ' + '1/2 '.repeat(300);
    expect(() => claimsIn(odd, 'mm')).not.toThrow();
  });
});
