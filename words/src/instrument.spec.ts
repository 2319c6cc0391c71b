import type { Doubt } from '@rinnovo/core/instrument';
import { progressText, distanceText, doubtText, edgeText, featureChangeText, importNoteText, refusalText } from './index.js';

const names = { pocket: 'neck pocket', route: 'pickup route' };

describe('places and what contradicts them, in words', () => {
  it('name an edge by the axis it is measured along', () => {
    expect(edgeText({ of: 'pocket', side: 'high' }, 'along', names)).toBe('bridge edge of the neck pocket');
    expect(edgeText({ of: 'pocket', side: 'high' }, 'across', names)).toBe('treble edge of the neck pocket');
    expect(edgeText({ of: 'centre line', side: 'middle' }, 'across', names)).toBe('centre line');
    const d = {
      id: 'd',
      axis: 'along' as const,
      from: { of: 'pocket', side: 'high' as const },
      to: { of: 'route', side: 'low' as const },
      value: 62.5,
      limit: 0.25,
      raw: '62.5',
    };
    expect(distanceText(d, names)).toBe('bridge edge of the neck pocket to nut edge of the pickup route');
  });

  it('say why something cannot be, by how much, in the chosen unit', () => {
    const doubt: Doubt = {
      id: 'deeperThanBody',
      key: 'deeperThanBody/route/floor',
      features: ['route', 'floor'],
      by: { op: 'leaf', label: 'woodLeft', value: -6.35, limit: 0, basis: { kind: 'stated' } },
      insisted: false,
    };
    expect(doubtText(doubt, names, 'mm')).toBe('The pickup route breaks through the other face by 6.35\u202fmm.');
    expect(doubtText(doubt, names, 'fraction')).toBe('The pickup route breaks through the other face by 1/4\u202fin.');
    expect(doubtText({ ...doubt, id: 'chainOpen' }, names, 'mm')).toContain('does not close');
  });

  it('tell what became of a feature with signs', () => {
    expect(featureChangeText({ kind: 'moved', id: 'a', name: 'Back', across: 3, along: -2 }, 'mm')).toBe(
      'Back: moved +3.00\u202fmm across, −2.00\u202fmm along',
    );
    expect(featureChangeText({ kind: 'resized', id: 'a', name: 'Plate', wider: 4, longer: 0 }, 'mm')).toBe('Plate: +4.00\u202fmm wider, 0.00\u202fmm longer');
    expect(featureChangeText({ kind: 'gone', id: 'a', name: 'Plate' }, 'mm')).toBe('Plate: removed');
  });
});

describe('what was met in a drawing, in words', () => {
  it('says why nothing came of a file', () => {
    expect(refusalText({ kind: 'broken', detail: '1:20: unclosed tag' })).toBe('The file is damaged: 1:20: unclosed tag.');
    expect(refusalText({ kind: 'notThisKind', detail: 'html' })).toContain('it begins with html');
    expect(refusalText({ kind: 'tooLarge', detail: '' })).toContain('20 MB');
    expect(refusalText({ kind: 'nothingInIt', detail: 'text' })).toContain('only: text');
  });

  it('says what was skipped, joined or simplified', () => {
    expect(importNoteText({ kind: 'open', of: 'path a', gap: 5.657 }, 'mm')).toBe('path a: skipped, open by 5.66\u202fmm.');
    expect(importNoteText({ kind: 'crossing', of: 'path', at: { x: 10, y: 20 } }, 'mm')).toContain('crosses itself at 10.00\u202fmm, 20.00\u202fmm');
    expect(importNoteText({ kind: 'joined', count: 3, gap: 0.02 }, 'mm')).toBe('3 loose ends joined, the widest gap 0.02\u202fmm.');
    expect(importNoteText({ kind: 'simplified', from: 100_000, to: 1200, tolerance: 0.005 }, 'mm')).toBe(
      '100000 points reduced to 1200, within 0.005\u202fmm.',
    );
    expect(importNoteText({ kind: 'ignored', what: 'script', count: 2 }, 'mm')).toBe('script: not read (2).');
    expect(importNoteText({ kind: 'flat', of: 'line' }, 'mm')).toContain('no area');
  });
});

describe('how far a job is', () => {
  it('is told by its stage and what is next', () => {
    const said = (parts: number, consents: number) => progressText({ places: 2, decided: 2, open: 3, done: 1, parts, consents }).waits;
    const at = (places: number, decided: number, open: number, done: number): string => {
      const { stage, next } = progressText({ places, decided, open, done, parts: 0, consents: 0 });
      return `${stage}: ${next}`;
    };
    expect(progressText(null)).toEqual({ stage: 'arrived', next: 'open a job', waits: '' });
    expect([said(0, 0), said(1, 0), said(3, 2)]).toEqual(['', 'waits for 1 part', 'waits for 3 parts and the owner’s consent']);
    expect(at(0, 0, 0, 0)).toBe('job open: choose a part');
    expect(at(6, 4, 3, 0)).toBe('planning: decide 2 of 6 places');
    expect(at(1, 1, 9, 0)).toBe('ready for the bench: 9 of 9 operations to do');
    expect(at(1, 1, 4, 5)).toBe('on the bench: 4 of 9 operations to do');
    expect(at(1, 1, 0, 9)).toBe('done: hand over');
  });
});
