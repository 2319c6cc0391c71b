import { MISHAPS, asksFlaw } from '../job/index.js';
import { asSlipped, beyondLine, consequenceOf, evaluateChoice } from '../house/index.js';
import { newHardwareChoice } from '../check/index.js';
import { depthReached, type StepCard } from '../gate/index.js';
import { bounds, roundedRectangle } from '../shape/index.js';
import { hole, partOf } from '../testing/hardware.js';
import { dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { type Mishap } from './index.js';

const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false }] };
const choice = plainChoice({ route });
const slip = (by: number, more: Partial<Extract<Mishap, { kind: 'slipped' | 'tornOut' }>> = {}): Mishap => ({
  kind: 'slipped',
  level: 'main',
  side: 'treble',
  by,
  depth: 12,
  ...more,
});
const ways = (mishap: Mishap, of = choice): readonly string[] =>
  consequenceOf(plainState(), of, mishap)
    .waysOn.filter((w) => w.possible)
    .map((w) => w.id);

describe('a slip beyond the line', () => {
  it('takes the level’s own outline that way: from −43 to 43 and 1.5 towards the treble ends at 44.5', () => {
    const state = plainState();
    const at = (side: 'bass' | 'treble' | 'neck' | 'bridge') => {
      const b = bounds([beyondLine(state, choice, { level: 'main', side, by: 1.5, depth: 12 })!.level.outline.outline]);
      return [b.minX, b.maxX, b.minY, b.maxY].map((n) => Number(n.toFixed(6)));
    };
    expect(at('treble')).toEqual([-41.5, 44.5, 90, 130]);
    expect(at('bass')).toEqual([-44.5, 41.5, 90, 130]);
    expect(at('neck')).toEqual([-43, 43, 88.5, 128.5]);
    expect(at('bridge')).toEqual([-43, 43, 91.5, 131.5]);
    expect(beyondLine(state, choice, { level: 'moon', side: 'bass', by: 1, depth: 1 })).toBeNull();
  });

  it('is carried on from, accepted, hidden by a wider cover, or filled, as the plate still hides it', () => {
    // the plate ends at 55: 12 are hidden, 1.5 wanted
    expect(ways(slip(2))).toEqual(['carryOn', 'fillFlaw', 'stopAndFill']);
    expect(ways(slip(11))).toEqual(['acceptThin', 'fillFlaw', 'stopAndFill']);
    const gone = consequenceOf(plainState(), choice, slip(14)).trouble;
    expect([gone[0]!.check, gone[0]!.class, Number(gone[0]!.clearance!.toFixed(3))]).toEqual(['hiddenEdge', 'clashes', -2]);
    expect(consequenceOf(plainState(), choice, slip(2)).trouble).toEqual([]);
    expect(ways(slip(14))).toEqual(['fillFlaw', 'widerCover', 'stopAndFill']);
    expect(ways(slip(2, { kind: 'tornOut' }))).toContain('glueBack');
  });

  it('is left in the wood on the word of its entry, as deep as the work had gone', () => {
    const state = plainState();
    const left = asSlipped({ decision: 'decision', choice, gone: { level: 'main', side: 'treble', by: 14, depth: 12 }, entry: 'entry' }, state);
    const gone = left.cavities.find((c) => c.id === 'route')!.levels.at(-1)!;
    expect([gone.depth!.value, gone.depth!.basis, gone.set.endsWith('decision')]).toEqual([12, { kind: 'work', entry: 'entry' }, true]);
    const seen = evaluateChoice({ ...state, anatomy: left }, choice).verdicts.filter((v) => v.check === 'hiddenEdge' && v.class === 'clashes');
    expect(seen.length).toBe(1);
    expect(asSlipped({ decision: 'decision', choice, gone: { level: 'moon', side: 'bass', by: 1, depth: 1 }, entry: 'entry' }, state)).toBe(state.anatomy);
  });

  it('of a floor that is cut deeper goes by the level as it is', () => {
    const deeper = newHardwareChoice('deep', { on: 'feature', feature: 'pocket' }, null);
    const of = {
      ...deeper,
      kind: 'cut' as const,
      cut: 'deepen' as const,
      work: [{ kind: 'deepenRoute' as const, does: [{ kind: 'setDepth' as const, cavity: 'pocket', level: 'p', depth: dim(17) }] }],
    };
    const state = plainState();
    expect(beyondLine(state, of, { level: 'p', side: 'bridge', by: 1, depth: 17 })!.cavity).toBe('pocket');
    const found = consequenceOf(plainState(), of, { kind: 'tooDeep', level: 'p', depth: 43 });
    expect(found.waysOn.filter((w) => w.possible).map((w) => w.id)).toEqual(['acceptThin', 'shimUnderPart', 'stopAndFill']);
  });
});

describe('a chip, and a hole beside its place', () => {
  it('are left where what covers them still does by what is certain of it, else repaired', () => {
    const hidden = evaluateChoice(plainState(), choice).verdicts.filter((v) => v.check === 'hiddenEdge');
    const sure = Math.min(...hidden.map((v) => v.clearance! - v.worst!));
    expect(ways({ kind: 'chipped', by: sure - 0.01 })).toEqual(['leaveHidden', 'glueBack']);
    expect(ways({ kind: 'chipped', by: sure + 0.01 })).toEqual(['glueBack', 'dropFill']);
    // a washer of 14.2 over a hole of 9.8 hides 2.2 all round
    const pot = partOf('pot', 'pot', { bushing: 9.5, washer: 14.2 });
    const s = plainState({ ...plainAnatomy(), holes: [hole('volume', 'pot', 9.8)] });
    const of = newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot');
    const wandered = (by: number) =>
      consequenceOf({ ...s, parts: { ...s.parts, pot } }, of, { kind: 'wandered', by })
        .waysOn.filter((w) => w.possible)
        .map((w) => w.id);
    expect([wandered(1), wandered(2.5)]).toEqual([['leaveHidden', 'plugAgain'], ['plugAgain']]);
  });

  it('and slips have a length; too deep has a depth, and anything else has none', () => {
    expect(MISHAPS.filter(asksFlaw)).toEqual(['slipped', 'tornOut', 'chipped', 'wandered', 'finishLifted']);
    expect(ways({ kind: 'other' })).toEqual(['stopAndFill']);
  });
});

describe('how deep the work has gone', () => {
  const card = (more: Partial<StepCard>): StepCard => ({ key: 'k', kind: 'unplug', cautions: [], numbers: [], names: {}, asks: null, rule: null, ...more });

  it('is what the card at hand, or the last one before it, cuts to', () => {
    const cards = [card({}), card({ kind: 'cut', names: { depth: 6 } }), card({ kind: 'measureDepth' }), card({ kind: 'cut', names: { depth: 12 } })];
    expect([0, 1, 2, 3].map((now) => depthReached(cards, now))).toEqual([0, 6, 6, 12]);
  });
});

describe('what breaks, lifts or is the wrong one', () => {
  it('a snapped screw is turned out, bored out, or left with a new hole beside it', () => {
    expect(ways({ kind: 'screwSnapped' })).toEqual(['turnOut', 'extract', 'newBeside']);
  });

  it('lifted finish is laid back, and left where the cover hides it: 12 are hidden', () => {
    expect(ways({ kind: 'finishLifted', by: 3 })).toContain('leaveHidden');
    expect(ways({ kind: 'finishLifted', by: 30 })).toEqual(['layDown', 'dropFill']);
  });

  it('a broken part is mended or ordered again, a wrong one changed', () => {
    expect([ways({ kind: 'partBroke' }), ways({ kind: 'wrongPart' })]).toEqual([['mendPart', 'anotherOne'], ['rightOne']]);
  });
});
