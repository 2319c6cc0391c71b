// What is read twice, against the whole evaluation of an instrument on which that one dimension was misread.
import { plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { evaluateChoice } from '../house/index.js';
import { isAbout, type Verdict } from '../check/index.js';
import { dimensionAt, withDimension, type Anatomy } from '../instrument/index.js';
import { grossError, targetKey, type Target } from '../quantity/index.js';
import { roundedRectangle } from '../shape/index.js';
import { restsOn, restsTwiceOn } from './index.js';

/** The plain instrument, some millimetres of it otherwise, and a route of a depth. */
function case_(random: () => number) {
  const base = plainAnatomy();
  const some = (least: number, most: number): number => Math.round((least + random() * (most - least)) * 100) / 100;
  const thickness = { ...base.body.thickness!, value: some(30, 60) };
  const back = some(8, 22);
  const anatomy: Anatomy = {
    ...base,
    body: { ...base.body, thickness },
    cavities: base.cavities.map((c) => (c.id === 'back' ? { ...c, levels: c.levels.map((p) => ({ ...p, depth: { ...p.depth!, value: back } })) } : c)),
  };
  const levels = [{ id: 'main', outline: roundedRectangle(some(60, 90), some(24, 40), 5), depth: some(12, 26), bored: false }];
  return { state: plainState(anatomy), choice: plainChoice({ route: { at: { x: some(-8, 8), y: some(104, 116), turn: 0 }, levels } }) };
}

/** The classes of what rests on readings, in the order in which the checks state it: names may carry the depth that is misread. */
const classesOf = (verdicts: readonly Verdict[]): readonly string[] =>
  verdicts.flatMap((v) => (isAbout(v, 'restsTwice') ? [`${v.check} ${v.class}`] : [])).sort();

describe('what is read twice', () => {
  it('is what would say otherwise if it were misread by as much as one reading may be, and nothing else', () => {
    const random = seeded(19);
    let asked = 0;
    let spared = 0;
    for (let i = 0; i < 60; i += 1) {
      const { state, choice } = case_(random);
      const { verdicts } = evaluateChoice(state, choice);
      const twice = new Set(restsTwiceOn(verdicts, state.anatomy).map(targetKey));
      const depths = restsOn(verdicts, state.anatomy).filter((t) => t.quantity === 'bodyThickness' || t.quantity === 'levelDepth');
      for (const t of depths) {
        const before = classesOf(verdicts);
        const misread = [-1, 1].map((sign) => classesOf(evaluateChoice({ ...state, anatomy: misreadBy(state.anatomy, t, sign) }, choice).verdicts));
        const worse = misread.some((now) => worseThan(now, before));
        expect(twice.has(targetKey(t)))
          .withContext(`${i} ${targetKey(t)}`)
          .toBe(worse);
        if (worse) asked += 1;
        else spared += 1;
      }
    }
    // both happen, often enough to say something
    expect([asked > 20, spared > 20]).toEqual([true, true]);
  });

  it('spares a guard’s edge with 45 to spare, and not a floor of 4.5', () => {
    const { anatomy } = plainState();
    const wide = plainChoice({
      route: { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 25.5, bored: false }] },
    });
    // 44 − 25.5 − 14 = 4.5
    const { verdicts } = evaluateChoice(plainState(), wide);
    expect(verdicts.find((v) => v.check === 'floor' && v.id.includes('planned'))!.clearance).toBeCloseTo(4.5, 9);
    expect(restsTwiceOn(verdicts, anatomy).map(targetKey)).toContain('bodyThickness|body|');
    const far = verdicts.filter((v) => v.check === 'edgeOfBody');
    expect(far.map((v) => [v.class, restsTwiceOn([v], anatomy)])).toEqual(far.map(() => ['well', []]));
    const missing: Verdict = {
      ...verdicts.find((v) => v.check === 'floor')!,
      clearance: null,
      working: null,
      missing: [{ quantity: 'bodyThickness', feature: 'body' }],
    };
    expect(restsTwiceOn([missing], anatomy).map(targetKey)).toEqual(['bodyThickness|body|']);
  });

  it('counts what one reading may be wrong by: by size, a hole by the next drill', () => {
    const of = (quantity: Parameters<typeof grossError>[0], ...values: number[]) => values.map((v) => grossError(quantity, v));
    expect(of('bodyThickness', 41.5, 30, 12, 10)).toEqual([4.15, 3, 3, 1]);
    expect([of('plateThickness', 2), of('holeDiameter', 8, 25), of('nutGap', 0.5), of('relief', 0.2)]).toEqual([[0.2], [1, 1], [0.3], [0.3]]);
    expect(of('scaleLength', 640)).toEqual([64]);
  });
});

function misreadBy(anatomy: Anatomy, t: Target, sign: number): Anatomy {
  const at = dimensionAt(anatomy, t);
  if (!at.exists || !at.dimension) throw new Error('nothing is known there');
  const { value } = at.dimension;
  return withDimension(anatomy, t, { ...at.dimension, value: value + sign * grossError(t.quantity, value) });
}

const GRAVITY = ['well', 'thin', 'notMeasured', 'tooClose', 'clashes'];

/** Is anything graver now, check by check? */
function worseThan(now: readonly string[], before: readonly string[]): boolean {
  const worst = (list: readonly string[]): ReadonlyMap<string, readonly number[]> => {
    const by = new Map<string, number[]>();
    for (const x of list) {
      const [check, is] = x.split(' ') as [string, string];
      by.set(check, [...(by.get(check) ?? []), GRAVITY.indexOf(is)].sort());
    }
    return by;
  };
  const [a, b] = [worst(now), worst(before)];
  return [...a].some(([check, graves]) => graves.some((g, i) => g > (b.get(check)?.[i] ?? g)));
}
