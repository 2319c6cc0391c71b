import { evaluatePlan } from '@rinnovo/core/house';
import { settingsWith } from '@rinnovo/core/operation';
import { anatomy } from '../../testing/fixture';
import { choice, pickup, planOf, route } from '../../testing/job';
import { frameOfSpans, spansOf } from './close-up';

const state = { anatomy, parts: { 'two-coil': pickup }, done: new Set<string>(), fitted: [], stock: [], settings: settingsWith(), tools: [] };
const { verdicts } = evaluatePlan(state, planOf({ ...choice, route }));

describe('the close-up of a verdict', () => {
  it('draws the way from the worst point to the other edge, as long as the verdict says', () => {
    const drawn = verdicts.filter((v) => v.working?.op === 'geometry' && v.check !== 'smallestCorner');
    expect(drawn.length).toBeGreaterThan(3);
    for (const v of drawn) {
      const [span] = spansOf(v);
      expect(span!.mm).withContext(v.id).toBeCloseTo(Math.abs(v.clearance!), 2);
      expect(span!.from).toEqual(v.at!);
    }
  });

  it('shows it with room round it', () => {
    const v = verdicts.find((x) => x.check === 'partInRoute')!;
    const spans = spansOf(v);
    const f = frameOfSpans(spans)!;
    for (const p of [spans[0]!.from, spans[0]!.to]) {
      expect(p.x).toBeGreaterThan(f.x);
      expect(p.x).toBeLessThan(f.x + f.width);
      expect(p.y).toBeGreaterThan(f.y);
      expect(p.y).toBeLessThan(f.y + f.height);
    }
    expect(frameOfSpans([])).toBeNull();
  });
});
