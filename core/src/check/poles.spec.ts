// Poles under strings. Reference: each string is the straight line from its nut slot to its saddle; the lines are drawn by hand here, point by point, from the
// ends of the fan: a fret square to the centre line is where every string has gone the same share of its own scale.
import { evaluateChoice } from '../house/index.js';
import { describePickupPlace, describeStrings, stringsAt, type Anatomy, type PickupPosition, type Strings } from '../instrument/index.js';
import { dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import type { Verdict } from './index.js';

interface Said {
  readonly strings?: Partial<Strings>;
  readonly neck?: Partial<Anatomy['neck']>;
  readonly position?: Partial<PickupPosition>;
  readonly poles?: { readonly spacing: number; readonly rows: readonly number[] };
  readonly for?: number;
}

function instrument({ strings, neck, position }: Said): Anatomy {
  const a = plainAnatomy();
  const plain = { count: 6, spreadAtNut: dim(36), spreadAtSaddles: dim(54) };
  return {
    ...a,
    strings: { ...plain, ...strings },
    neck: { ...a.neck, scale: dim(660), nutToMouth: dim(400), ...neck },
    positions: a.positions.map((p) => ({ ...p, at: { x: 0, y: 100 }, ...position })),
  };
}

function rows(said: Said): readonly Verdict[] {
  const state = plainState(instrument(said));
  const small = state.parts['small']!;
  const { spacing, rows } = said.poles ?? { spacing: 49.5, rows: [0] };
  const part = { ...small, poles: { spacing: dim(spacing), rows }, ...(said.for === undefined ? {} : { strings: said.for }) };
  const at = { ...state, parts: { ...state.parts, small: part } };
  return evaluateChoice(at, plainChoice({ part: 'small' }))
    .verdicts.filter((v) => v.check === 'polesUnderStrings')
    .sort((v, w) => v.subject.item!.localeCompare(w.subject.item!));
}

/** How far the worse of a row's outer poles is from its string: 2.5 is as far as any may be. */
const off = (said: Said, row = 0): number => 2.5 - rows(said)[row]!.clearance!;

/** A string of a fan where it passes a line across the body, from its own two ends. */
function across(at: number, y: number, { treble, bass, square }: { treble: number; bass: number; square: number }): number {
  const gone = 1 - 2 ** (-square / 12);
  const scale = bass + (treble - bass) * at;
  const squareY = treble * gone;
  const [nutY, saddleY] = [squareY - scale * gone, squareY + scale * (1 - gone)];
  const [nutX, saddleX] = [36 * (at - 0.5), 54 * (at - 0.5)];
  return nutX + ((saddleX - nutX) * (y - nutY)) / (saddleY - nutY);
}

describe('poles under their strings', () => {
  it('take each string by its own scale on a fanned board', () => {
    const fan = { treble: 660, bass: 711, square: 7 };
    const neck = { scaleBass: dim(711), squareFret: 7 };
    // the lowest string is 24.544 from the middle at 500 from the nut, the highest 24.818; both were taken for 24.818
    expect(across(0, 500, fan)).toBeCloseTo(-24.544, 3);
    expect(off({ neck })).toBeCloseTo(24.75 - 24.5438, 3);
    expect(off({ neck, poles: { spacing: 50, rows: [0] } })).toBeCloseTo(25 - 24.5438, 3);
    const x = stringsAt(instrument({ neck }), 100)!;
    expect(x.length).toBe(6);
    x.forEach((s, i) => expect(s).toBeCloseTo(across(i / 5, 500, fan), 9));
    // square at the nut: both nut slots are at 0
    expect(off({ neck: { ...neck, squareFret: 0 } })).toBeCloseTo(24.75 - (36 + (18 * 500) / 711) / 2, 6);
  });

  it('on fans that nobody drew, with poles that are turned and off the middle', () => {
    const next = seeded(1207);
    const within = (from: number, to: number): number => from + (to - from) * next();
    for (let n = 0; n < 200; n++) {
      const fan = { treble: within(600, 680), bass: within(680, 760), square: Math.floor(within(0, 13)) };
      const [x, y, turn, spacing, row] = [within(-5, 5), within(60, 200), within(-15, 15), within(48, 54), within(-10, 10)];
      const a = (turn * Math.PI) / 180;
      const sides = [-1, 1].map((side) => {
        const px = x + ((side * spacing) / 2) * Math.cos(a) - row * Math.sin(a);
        const py = y + ((side * spacing) / 2) * Math.sin(a) + row * Math.cos(a);
        return Math.abs(px - across(side < 0 ? 0 : 1, 400 + py, fan));
      });
      const said = { neck: { scale: dim(fan.treble), scaleBass: dim(fan.bass), squareFret: fan.square }, position: { at: { x, y }, turn } };
      expect(off({ ...said, poles: { spacing, rows: [row] } })).toBeCloseTo(Math.max(...sides), 6);
    }
  });

  it('read worse on one side where the pickup is off the centre line', () => {
    // strings at ±24.818: 4 to the treble side the poles are at 28.75 and −20.75, the lower one 4.068 off; in the middle both are 0.068 off
    expect(off({})).toBeCloseTo(0.068, 3);
    expect(off({ position: { at: { x: 4, y: 100 } } })).toBeCloseTo(4.068, 3);
    expect(off({ position: { at: { x: -4, y: 100 } } })).toBeCloseTo(4.068, 3);
    expect(rows({ position: { at: { x: 4, y: 100 } } })[0]!.at!.x).toBeCloseTo(-20.75, 6);
    expect(rows({ position: { at: { x: -4, y: 100 } } })[0]!.at!.x).toBeCloseTo(20.75, 6);
  });

  it('are judged in both rows', () => {
    const both = { poles: { spacing: 49.5, rows: [-9, 9] } };
    expect(rows(both).length).toBe(2);
    expect(off(both, 0)).toBeCloseTo(Math.abs(24.75 - (36 + (18 * 491) / 660) / 2), 6);
    expect(off(both, 1)).toBeCloseTo(Math.abs(24.75 - (36 + (18 * 509) / 660) / 2), 6);
  });

  it('of six lie under the middles of the courses of twelve strings', () => {
    const twelve = { strings: { count: 12, courses: { apart: dim(2) } } };
    // 49.636 from outer string to outer string, less 2: six middles 47.636 apart
    expect(off({ ...twelve, for: 6 })).toBeCloseTo(24.75 - 23.818, 3);
    expect(off({ ...twelve, for: 12 })).toBeCloseTo(24.818 - 24.75, 3);
    const x = stringsAt(instrument(twelve), 100)!;
    expect(x.length).toBe(12);
    expect(x[1]! - x[0]!).toBeCloseTo(2, 9);
    expect(x[11]! - x[10]!).toBeCloseTo(2, 9);
    expect(x[2]! - x[0]!).toBeCloseTo(47.636 / 5, 3);
    const unread = rows({ strings: { count: 12, courses: { apart: null } }, for: 6 })[0]!;
    expect(unread.clearance).toBeNull();
    expect(unread.missing).toEqual([{ quantity: 'courseApart', feature: 'strings' }]);
  });

  it('of a split half lie under its own strings', () => {
    // four strings 30 to 57 over 864: 46.5 apart at 528 from the nut; the lower two are 15.5 apart, their middle 15.5 from the centre line
    const bass = {
      strings: { count: 4, spreadAtNut: dim(30), spreadAtSaddles: dim(57) },
      neck: { scale: dim(864), nutToMouth: dim(428) },
      poles: { spacing: 15.5, rows: [0] },
      for: 2,
    };
    const spread = 30 + (27 * 528) / 864;
    const lower = { ...bass, position: { at: { x: -15.5, y: 100 }, strings: [3, 4] as const } };
    expect(off(lower)).toBeCloseTo(Math.abs(15.5 + 7.75 - spread / 2), 6);
    expect(off({ ...lower, position: { ...lower.position, strings: [1, 2] } })).toBeGreaterThan(20);
    expect(off(bass)).toBeGreaterThan(10);
  });

  it('count a zero fret as the beginning of the scale: the nut that spreads the strings lies behind it', () => {
    // slots 5 behind the crown: (500 + 5)/(660 + 5) of the way from slot to saddle
    expect(off({ neck: { zeroFret: true } })).toBeCloseTo(Math.abs(24.75 - (36 + (18 * 505) / 665) / 2), 6);
  });

  it('forget which strings lie over a place when there are no such strings any more', () => {
    const a = instrument({ strings: { count: 7 }, position: { strings: [6, 7] } });
    expect(describeStrings(a, { ...a.strings, count: 8 }).positions[0]!.strings).toEqual([6, 7]);
    expect(describeStrings(a, { ...a.strings, count: 6 }).positions[0]!.strings).toBeUndefined();
    expect(describeStrings(a, { ...a.strings, count: 12, courses: { apart: null } }).positions[0]!.strings).toBeUndefined();
    const turned = describePickupPlace(a, 'here', { turn: 3, strings: null });
    expect(turned.positions[0]).toEqual(jasmine.objectContaining({ turn: 3 }));
    expect(turned.positions[0]!.strings).toBeUndefined();
    expect(() => describePickupPlace(a, 'nowhere', { turn: 0, strings: null })).toThrowError(RangeError);
  });

  it('are for so many strings as lie over them', () => {
    const counts = (said: Said): string | undefined => {
      const state = plainState(instrument(said));
      const part = { ...state.parts['small']!, strings: said.for! };
      const at = { ...state, parts: { ...state.parts, small: part } };
      return evaluateChoice(at, plainChoice({ part: 'small' })).verdicts.find((v) => v.check === 'stringCount')?.class;
    };
    const courses = { strings: { count: 12, courses: { apart: dim(2) } } };
    expect(counts({ ...courses, for: 6 })).toBe('well');
    expect(counts({ ...courses, for: 12 })).toBe('well');
    expect(counts({ ...courses, for: 8 })).toBe('clashes');
    expect(counts({ strings: { count: 12 }, for: 6 })).toBe('clashes');
    expect(counts({ strings: { count: 4 }, position: { strings: [3, 4] }, for: 2 })).toBe('well');
    expect(counts({ strings: { count: 4 }, for: 2 })).toBe('clashes');
  });
});
