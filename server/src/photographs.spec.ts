// Pictures of a step: kept upright and without what the camera wrote into them, put away and brought back.
import { knownAt } from '@rinnovo/core/instrument';
import { randomUUID } from 'node:crypto';
import type { Photograph, Problem } from '@rinnovo/contract';
import { demoWorkshop } from '@rinnovo/demo';
import sharp from 'sharp';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const job = demoWorkshop.jobs[0]!;

describe('photographs of a step', () => {
  let w: TestWorkshop;
  const operation = randomUUID();
  beforeAll(async () => {
    w = await testWorkshop();
    const decision = randomUUID();
    const blank = { reason: '', person: w.person, plan_version: 1, revisions: knownAt({ anatomy: 1 }), options: '[]' };
    await w.db('decisions').insert({ id: decision, job: job.id, option: 'keep', choice: 'neck pickup', chosen: '{}', ...blank });
    await w.db('operations').insert({
      id: operation,
      job: job.id,
      decision,
      kind: 'routePasses',
      key: 'routePasses',
      source: { of: 'choice', id: 'c' },
      subject: { aspect: 'anatomy', id: 'f' },
      state: 'ready',
    });
  }, 30_000);
  afterAll(() => w.close());

  const picture = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#a52' } });
  const list = async (): Promise<readonly Photograph[]> =>
    ((await w.get(`/api/instruments/${instrument}/photographs`).expect(200)).body as { items: Photograph[] }).items;
  const take = (bytes: Buffer, id = randomUUID()) => w.create(`/api/photographs/${id}`, { operation, step: '4 cut', image: bytes.toString('base64') });

  it('are turned upright, made no larger than 2000, and lose what the camera wrote', async () => {
    const lying = await picture(3000, 1000)
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const kept = (await take(lying).expect(201)).body as Photograph;
    expect([kept.width, kept.height, kept.instrument, kept.step]).toEqual([667, 2000, instrument, '4 cut']);
    const { body, headers } = await w.get(`/api/photographs/${kept.id}/image`).expect(200);
    const read = await sharp(body as Buffer).metadata();
    expect([headers['content-type'], read.width, read.height, read.orientation, read.exif]).toEqual(['image/jpeg', 667, 2000, undefined, undefined]);
    const small = await sharp((await w.get(`/api/photographs/${kept.id}/small`).expect(200)).body as Buffer).metadata();
    expect([small.width, small.height]).toEqual([106, 320]);
  });

  it('can be put away and brought back, by whoever read the newest version', async () => {
    const { id } = (await take(await picture(30, 20).png().toBuffer()).expect(201)).body as Photograph;
    const there = async (): Promise<boolean> => (await list()).some((p) => p.id === id);
    expect(await there()).toBeTrue();
    await w.change(`/api/photographs/${id}/removed`, 1, { removed: true }).expect(200);
    expect(await there()).toBeFalse();
    expect((await w.change(`/api/photographs/${id}/removed`, 1, { removed: false })).status).toBe(412);
    await w.change(`/api/photographs/${id}/removed`, 2, { removed: false }).expect(200);
    expect(await there()).toBeTrue();
  });

  it('are read one after another, none larger in memory than there is for one: a plain JPEG may be far larger than one that comes in turns', async () => {
    const said = async (bytes: Buffer): Promise<readonly [number, boolean]> => {
      const { status, text } = await take(bytes);
      return [status, text.includes('more pixels than can be read at once')];
    };
    expect(await said(await picture(8000, 6000).jpeg({ quality: 20 }).toBuffer())).toEqual([201, false]);
    expect(await said(await picture(8000, 6000).jpeg({ quality: 20, progressive: true }).toBuffer())).toEqual([422, true]);
    expect(await said(await picture(6000, 4000).png({ progressive: true }).toBuffer())).toEqual([422, true]);
    expect(await said(await picture(12000, 12000).jpeg({ quality: 20 }).toBuffer())).toEqual([422, false]);
    const eight = await Promise.all(
      Array.from({ length: 8 }, async (_, i) =>
        take(
          await picture(1500 + i, 1000)
            .jpeg()
            .toBuffer(),
        ),
      ),
    );
    expect(eight.map((r) => r.status)).toEqual(Array(8).fill(201));
    // how many wait is told meanwhile
    const waiting = async (): Promise<number> => ((await w.get('/api/photographs/waiting').expect(200)).body as { waiting: number }).waiting;
    expect(await waiting()).toBe(0);
    const large = await picture(6000, 5000).jpeg({ quality: 20 }).toBuffer();
    const three = [take(large), take(large), take(large)].map((t) => t.then((r) => r.status));
    let most = 0;
    const asking = (async () => {
      while (most < 3) most = Math.max(most, await waiting());
    })();
    expect(await Promise.all([...three, asking])).toEqual([201, 201, 201, undefined]);
    expect(await waiting()).toBe(0);
    // a bad one among them holds nobody up
    const bad = take(Buffer.from('no picture'));
    const good = take(await picture(40, 30).jpeg().toBuffer());
    expect([(await bad).status, (await good).status]).toEqual([422, 201]);
  }, 60_000);

  it('are refused that are none: words, half a picture, another kind, nobody’s step', async () => {
    const pointer = async (bytes: Buffer): Promise<readonly [number, string | undefined]> => {
      const { status, body } = await take(bytes);
      return [status, (body as Problem).errors?.[0]?.pointer];
    };
    const whole = await picture(400, 300).jpeg().toBuffer();
    expect(await pointer(Buffer.from('no picture'))).toEqual([422, '/image']);
    expect(await pointer(whole.subarray(0, whole.length / 2))).toEqual([422, '/image']);
    expect(await pointer(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).toEqual([422, '/image']);
    expect(await pointer(await picture(9, 9).tiff().toBuffer())).toEqual([422, '/image']);
    const nobody = { operation: randomUUID(), step: '1 cut', image: whole.toString('base64') };
    expect((await w.create(`/api/photographs/${randomUUID()}`, nobody)).status).toBe(422);
    expect((await w.create(`/api/photographs/${randomUUID()}`, { ...nobody, operation, image: '%%' })).status).toBe(400);
    expect((await w.get(`/api/photographs/${randomUUID()}/image`)).status).toBe(404);
    expect((await w.create(`/api/photographs/${randomUUID()}`, { ...nobody, image: 'A'.repeat(13_000_000) })).status).toBe(413);
  });
});
