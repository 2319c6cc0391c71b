// Attacks on a reading's limit and tool: a limit belongs to its tool, and the second reading to the tool that was zeroed.
import { randomUUID } from 'node:crypto';
import type { Problem } from '@rinnovo/contract';
import type { MeasuringTool } from '@rinnovo/core/part';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const [calliper, gauge] = demoWorkshop.tools as readonly MeasuringTool[];
const target = { quantity: 'bodyThickness', feature: 'body' } as const;

describe('a reading', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const body = { instrument, target, value: 41.5, limit: 0.05, raw: '41.5', tool: calliper!.id, session: null, survey: null, corrects: null };
  const read = async (more: object) => {
    const answer = await w.create(`/api/readings/${randomUUID()}`, { ...body, ...more });
    return [answer.status, (answer.body as Problem).errors?.[0]?.pointer ?? null];
  };
  const blind = async (more: object = {}) => {
    const session = randomUUID();
    const answer = await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool: calliper!.id, zeroed: true, ...more });
    return { session, status: answer.status };
  };

  it('has the limit of its tool, never finer, and coarser only with a reason', async () => {
    expect(await read({})).toEqual([201, null]);
    expect(await read({ limit: 0.0001 })).toEqual([422, '/limit']);
    expect(await read({ limit: 0.3 })).toEqual([422, '/why']);
    expect(await read({ limit: 0.3, why: ' ' })).toEqual([400, '/why']);
    expect(await read({ limit: 0.3, why: 'through the guard' })).toEqual([201, null]);
    expect(await w.db('readings').where({ why: 'through the guard' }).select('limit', 'why')).toEqual([{ limit: 0.3, why: 'through the guard' }]);
    const state = { target: { quantity: 'relief', feature: 'neck' }, value: 0.2, raw: '0.2', tool: 'feeler gauge' };
    expect(await read({ ...state, limit: 0.001 })).toEqual([422, '/limit']);
    expect(await read({ ...state, limit: 0.03 })).toEqual([201, null]);
    expect(await read({ ...state, limit: 0.03, tool: 'tape measure' })).toEqual([422, '/tool']);
  });

  it('is of a tool of the workshop, and of none that is retired', async () => {
    expect(await read({ tool: 'calliper' })).toEqual([422, '/tool']);
    expect(await read({ tool: demoWorkshop.tools.find((t) => t.kind === 'template')!.id })).toEqual([422, '/tool']);
    const kept = (await w.db('tools').where({ id: gauge!.id }).first('version')) as { version: number };
    await w.change(`/api/shop/tools/${gauge!.id}`, kept.version, { ...gauge!, retired: true }).expect(200);
    expect(await read({ tool: gauge!.id })).toEqual([422, '/tool']);
    expect((await blind({ tool: gauge!.id })).status).toBe(422);
    await w.change(`/api/shop/tools/${gauge!.id}`, kept.version + 1, gauge!).expect(200);
    expect(await read({ tool: gauge!.id })).toEqual([201, null]);
  });

  it('that is the second one is taken with the tool that was zeroed, or says why not', async () => {
    const { session } = await blind();
    expect(await read({ session, tool: gauge!.id })).toEqual([422, '/why']);
    // the session is still open
    expect(await read({ session, tool: gauge!.id, why: 'its battery went flat' })).toEqual([201, null]);
    expect((await read({ session }))[0]).toBe(409);
  });
});
