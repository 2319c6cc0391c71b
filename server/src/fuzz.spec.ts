// Seeded junk over every route: whatever it is, it is answered, and never by an error that nobody foresaw.
import { fuzzed } from './testing/fuzz.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

/** A stream of numbers from 0 to 1 that is the same each time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
}

const SEED = Number(process.env['RINNOVO_FUZZ_SEED'] ?? '19');
const REQUESTS = Number(process.env['RINNOVO_FUZZ'] ?? '3000');

describe('junk over every route', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  it('is answered with what is wrong with it', async () => {
    const random = seeded(SEED);
    const bad: string[] = [];
    const seen = new Map<number, number>();
    for (let i = 0; i < REQUESTS && bad.length < 20; i += 1) {
      const { what, answer } = await fuzzed(w, random);
      seen.set(answer.status, (seen.get(answer.status) ?? 0) + 1);
      if (answer.status >= 500 || (answer.status >= 400 && answer.type !== 'application/problem+json'))
        bad.push(`${i} ${answer.status} ${what} → ${answer.text.slice(0, 200)}`);
    }
    expect(bad).toEqual([]);
    // some of it is good, or it would never come further than the door
    expect([seen.get(200) ?? 0, seen.get(400) ?? 0].every((n) => n > REQUESTS / 100)).toBeTrue();
  }, 1_800_000);
});
