// Expected values by hand: d13 − d1 = S · 0.471937 [law]; 0.5 of the scale to the 12th fret [law]; compensation 1–5 mm, a compensated nut 0.3–1 mm short [trade].
import { valueOf, worstCase } from '../measure/index.js';
import { dim, plainAnatomy } from '../testing/plan.js';
import { doubtsOf, scaleWays, type Neck } from './index.js';

const neck = (more: Partial<Neck>) => ({ ...plainAnatomy(), neck: { ...plainAnatomy().neck, ...more } });
const ways = (more: Partial<Neck>) =>
  scaleWays(neck(more).neck).map((w) => [w.way, Math.round(valueOf(w.working) * 10) / 10, Math.round(worstCase(w.working) * 100) / 100]);
const doubted = (more: Partial<Neck>) =>
  doubtsOf(neck(more))
    .filter((d) => d.id === 'scaleWays')
    .map((d) => d.features.slice(1).join(' '));

describe('the scale, three ways', () => {
  it('is given by two frets, by the 12th doubled, by the saddle less its compensation, each with what it may be off', () => {
    // 305.67 / 0.471937 = 647.69, ± 0.1 / 0.471937; 2 × 323.5 + 1 ± (1 + 0.2); 650.7 − 3 ± 2.1
    expect(ways({ firstToThirteenth: dim(305.67, 0.1), nutToTwelfth: dim(323.5, 0.1), nutToSaddle: dim(650.7, 0.1) })).toEqual([
      ['frets', 647.7, 0.21],
      ['twelfth', 648, 1.2],
      ['saddle', 647.7, 2.1],
    ]);
    expect(ways({ nutToTwelfth: dim(323.9, 0.1), zeroFret: true })).toEqual([['twelfth', 647.8, 0.2]]);
    expect(ways({})).toEqual([]);
  });

  it('agrees within that: 640 by all three', () => {
    expect(doubted({ firstToThirteenth: dim(302.04, 0.1), nutToTwelfth: dim(319.7, 0.1), nutToSaddle: dim(643, 0.25) })).toEqual([]);
  });

  it('is challenged at once where two ways disagree: 25 1/2 in by the frets, 24 in as it is stated', () => {
    expect(doubted({ scale: dim(609.6, 0.25), firstToThirteenth: dim(305.67, 0.1) })).toEqual(['stated frets']);
    expect(doubted({ scale: null, firstToThirteenth: dim(305.67, 0.1), nutToTwelfth: dim(304.8, 0.25), nutToSaddle: dim(651, 0.25) })).toEqual([
      'frets twelfth',
      'twelfth saddle',
    ]);
    // a typical scale is only a range: 640 ± 10 is not contradicted by 647.7
    expect(doubted({ scale: { value: 640, limit: 10, basis: { kind: 'default' } }, firstToThirteenth: dim(305.67, 0.1) })).toEqual([]);
  });
});

describe('a neck angle', () => {
  const at = (degrees: number, joint: 'bolted' | 'set' | null, more: Partial<Neck> = {}) =>
    doubtsOf(neck({ angle: { value: degrees, limit: 0.25, basis: { kind: 'stated' } }, ...more }), joint)
      .filter((d) => d.id.startsWith('angle'))
      .map((d) => d.id);

  it('above 3° is doubted of a bolted neck, above 6° of a set one', () => {
    expect([at(3, 'bolted'), at(3.2, 'bolted'), at(5.9, 'set'), at(6.3, 'set'), at(4.5, null)]).toEqual([[], ['angleForJoint'], [], ['angleForJoint'], []]);
  });

  it('with the rise that it gives: 240 · (tan 4° − tan 3°) = 4.20 too much', () => {
    const [doubt] = doubtsOf(neck({ angle: { value: 4, limit: 0.25, basis: { kind: 'stated' } } }), 'bolted').filter((d) => d.id === 'angleForJoint');
    expect(valueOf(doubt!.by)).toBeCloseTo(-240 * (Math.tan((4 * Math.PI) / 180) - Math.tan((3 * Math.PI) / 180)), 9);
  });

  it('also where the scale is typical, or nobody knows it', () => {
    expect(at(4, 'bolted', { scale: { value: 640, limit: 10, basis: { kind: 'default' } } })).toEqual(['angleForJoint']);
    expect(at(4, 'bolted', { scale: null, nutToMouth: null })).toEqual(['angleForJoint']);
  });
});
