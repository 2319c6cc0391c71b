// A database that hangs: whoever waits is told so in five seconds, what does not need it is answered at once, and what was sent is there once afterwards.
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request, { type Response } from 'supertest';
import { createApp } from './app.js';
import { connect } from './db/connect.js';
import { answersInTime } from './http/in-time.js';
import { slowLine, type SlowLine } from './testing/slow-line.js';
import { testDatabase } from './testing/database.js';
import { fillDemo } from './demo.js';
import { demoWorkshop } from '@rinnovo/demo';

const person = demoWorkshop.people[0]!.id;

describe('a database that hangs', () => {
  let line: SlowLine;
  let over: { name: string; drop: () => Promise<void>; app: ReturnType<typeof createApp>; close: () => Promise<void>; one: ReturnType<typeof connect> };

  beforeAll(async () => {
    const { db, name, url, drop } = await testDatabase();
    await fillDemo(db);
    line = await slowLine(url);
    const slow = connect(line.url, name, 4);
    const beside = connect(line.url, name, 1);
    const probe = () => answersInTime(() => beside.raw('SELECT 1'));
    const app = createApp({ db: slow, log: pino({ level: 'silent' }), webRoot: null, workshop: 'test', ready: () => true, probe });
    const close = async () => {
      await Promise.all([slow.destroy(), beside.destroy()]);
    };
    over = { name, drop, app, close, one: slow };
    await request(app).get('/api/people').expect(200);
  }, 60_000);
  afterAll(async () => {
    line.goOn();
    await over.close();
    await line.close();
    await over.drop();
  }, 30_000);

  const kind = (r: Response): readonly unknown[] => [r.status, (r.body as { type?: string }).type];
  const write = (id: string, writeId: string) =>
    request(over.app)
      .put(`/api/people/${id}`)
      .set({ Person: person, 'Write-Id': writeId, 'If-None-Match': '*' })
      .send({ id, name: 'Nell', role: 'technician' });

  it('is told, and what does not need it is answered meanwhile; what was sent is there once when it goes on', async () => {
    const [id, writeId] = [randomUUID(), randomUUID()];
    line.hang();
    const read = request(over.app).get('/api/people').then(kind);
    const written = write(id, writeId).then(kind);
    expect((await request(over.app).get('/api/health')).status).toBe(200);
    expect(await read).toEqual([503, '/problems/database-away']);
    expect(await written).toEqual([503, '/problems/database-away']);
    line.goOn();
    const again = await write(id, writeId);
    expect(again.status).toBe(201);
    const { items } = (await request(over.app).get('/api/people').expect(200)).body as { items: { id: string }[] };
    expect(items.filter((p) => p.id === id).length).toBe(1);
  }, 60_000);

  it('that takes no connection either is told too, by the wait for one alone', async () => {
    line.hang();
    const fresh = connect(line.url, over.name, 2);
    const app = createApp({
      db: fresh,
      log: pino({ level: 'silent' }),
      webRoot: null,
      workshop: 'test',
      ready: () => true,
      probe: () => Promise.resolve(true),
    });
    expect(kind(await request(app).get('/api/people'))).toEqual([503, '/problems/database-away']);
    line.goOn();
    await fresh.destroy();
  }, 60_000);

  it('is not what is told where only every connection is taken: that is told as it is, and others than the waiting ones go on', async () => {
    const held = await Promise.all([0, 1, 2, 3].map(() => over.one.transaction()));
    const waiting = await request(over.app).get('/api/people');
    expect([waiting.status, (waiting.body as { detail: string }).detail]).toEqual([503, 'Too much waits for the database just now. Try again.']);
    await Promise.all(held.map((t) => t.rollback()));
    expect((await request(over.app).get('/api/people')).status).toBe(200);
  }, 60_000);
});
