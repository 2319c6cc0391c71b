// Random sequences of everything two people can do to one cut, against a real server and database, held against an oracle that shares no code with the gate.
import fc from 'fast-check';
import { ACTS } from './testing/model/acts.js';
import { beginnings, follow, type Beginnings, type Move } from './testing/model/sequences.js';

const PLAIN = Number(process.env['RINNOVO_MODEL'] ?? 100);
const KILLED = Number(process.env['RINNOVO_MODEL_KILLS'] ?? 5);
const seed = Number(process.env['RINNOVO_MODEL_SEED'] ?? 2026);

const act = fc.oneof(...Object.entries(ACTS).map(([name, { often }]) => ({ weight: often, arbitrary: fc.constant(name) })));
const move: fc.Arbitrary<Move> = fc.record({ who: fc.integer({ min: 0, max: 1 }), act, n: fc.nat({ max: 999 }) });
const sequence = fc.array(move, { minLength: 4, maxLength: 14 });

describe('whatever two people do', () => {
  let from: Beginnings;
  beforeAll(async () => {
    from = await beginnings();
  }, 120_000);
  afterAll(() => from.close());

  const holds = (kills: boolean, numRuns: number) =>
    fc.assert(
      fc.asyncProperty(fc.nat({ max: 2 }), sequence, async (begin, moves) => {
        const wrong = await follow(from, begin, moves, kills);
        if (wrong.length > 0) throw new Error(wrong.join('\n'));
      }),
      { seed, numRuns, endOnFailure: true },
    );

  it(`no cut is logged that should not be, and nothing that was acknowledged is lost (${PLAIN} sequences)`, () => holds(false, PLAIN), 3_600_000);
  it(`nor when the server is killed in the middle of it (${KILLED} sequences)`, () => holds(true, KILLED), 3_600_000);
});
