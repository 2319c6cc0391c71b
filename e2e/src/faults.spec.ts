// Power cuts and a database that goes away: what was acknowledged is there, and the page recovers by itself.
import { randomUUID } from 'node:crypto';
import { expect, FIRST, test, Workshop } from './workshop.js';

const root = new URL('../../', import.meta.url).pathname;
const PERSON = '00000000-0000-4000-8000-000000000001';
const CALLIPER = '00000000-0000-4000-8000-000000000041';

function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a * 1664525 + 1013904223) % 4294967296;
    return a / 4294967296;
  };
}

async function send(url: string, id: string, writeId: string): Promise<number> {
  const body = {
    instrument: FIRST,
    target: { quantity: 'bodyThickness', feature: 'body' },
    value: 41.5,
    limit: 0.05,
    raw: '41.5',
    tool: CALLIPER,
    session: null,
    survey: null,
    corrects: null,
  };
  const r = await fetch(`${url}/api/readings/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', Person: PERSON, 'Write-Id': writeId, 'If-None-Match': '*' },
    body: JSON.stringify(body),
  });
  return r.status;
}

test('killed at 20 seeded moments of a save: acknowledged write ids are the rows, and each can be sent again', async ({ workshop }) => {
  const next = seeded(2026);
  const sent: { id: string; writeId: string; acknowledged: boolean }[] = [];
  for (let round = 0; round < 20; round++) {
    const one = { id: randomUUID(), writeId: randomUUID(), acknowledged: false };
    sent.push(one);
    const saving = send(workshop.url, one.id, one.writeId).then(
      (status) => (one.acknowledged = status === 201),
      () => undefined,
    );
    await new Promise((r) => setTimeout(r, next() * 30));
    await workshop.kill();
    await saving;
    await workshop.start();
  }
  const rows = new Set(((await workshop.db('readings').whereNotNull('write_id').select('write_id')) as { write_id: string }[]).map((r) => r.write_id));
  const writes = new Set(((await workshop.db('writes').select('id')) as { id: string }[]).map((r) => r.id));
  expect(writes).toEqual(rows);
  for (const s of sent.filter((x) => x.acknowledged)) expect(rows.has(s.writeId)).toBe(true);
  for (const s of sent) expect(await send(workshop.url, s.id, s.writeId)).toBe(201);
  expect(await workshop.db('readings').whereNotNull('write_id').count('* as n').first()).toEqual({ n: '20' });
});

test('the page says what it is doing while the server or the database is away, and goes on by itself', async ({ page }) => {
  const { ensureCluster } = (await import(`${root}tools/lib/postgres.mjs`)) as {
    ensureCluster: (o: { name: string; fast: boolean }) => Promise<{ url: string; stop: () => Promise<void> }>;
  };
  let cluster = await ensureCluster({ name: 'pg-fault', fast: true });
  const workshop = await Workshop.open(cluster.url);
  try {
    await page.goto(`${workshop.url}/i/${FIRST}/fit`);
    await expect(page.getByRole('region', { name: 'Verdicts' }).getByText('5 clashes')).toBeVisible();
    const choose = async (leads: string): Promise<void> => {
      await page.getByLabel('Leads').click();
      await page.getByRole('option', { name: leads, exact: true }).click();
    };
    await cluster.stop();
    await choose('2');
    await expect(page.getByText('The server does not answer')).toBeVisible();
    cluster = await ensureCluster({ name: 'pg-fault', fast: true });
    await expect(page.getByText('The server does not answer')).toBeHidden({ timeout: 30_000 });
    await expect(page.locator('.saving')).toHaveText('saved');

    await workshop.kill();
    await choose('5');
    await expect(page.getByText('The server does not answer')).toBeVisible();
    await workshop.start();
    await expect(page.locator('.saving')).toHaveText('saved', { timeout: 30_000 });
    const row = (await workshop.db('plans').where({ version: 3 }).first()) as { document: { choices: { leadsNeeded: number }[] } };
    expect(row.document.choices[0]!.leadsNeeded).toBe(5);
  } finally {
    await workshop.close();
    await cluster.stop();
  }
});

interface Cluster {
  readonly url: string;
  readonly adopted: boolean;
  readonly folder: string;
  readonly stop: () => Promise<void>;
}

test('a second start adopts a running cluster; after a crash a stale pid file is cleared', async () => {
  const { ensureCluster } = (await import(`${root}tools/lib/postgres.mjs`)) as { ensureCluster: (o: { name: string; fast: boolean }) => Promise<Cluster> };
  const { readFileSync, existsSync } = await import('node:fs');
  const first = await ensureCluster({ name: 'pg-fault', fast: true });
  const second = await ensureCluster({ name: 'pg-fault', fast: true });
  expect([first.adopted, second.adopted]).toEqual([false, true]);
  expect(second.url).toBe(first.url);
  await second.stop();
  expect(existsSync(`${first.folder}/postmaster.pid`), 'who adopted it does not stop it').toBe(true);

  const pid = Number(readFileSync(`${first.folder}/postmaster.pid`, 'utf8').split('\n')[0]);
  process.kill(pid, 'SIGKILL');
  await expect(() => expect(() => process.kill(pid, 0)).toThrow()).toPass({ timeout: 10_000 });
  expect(existsSync(`${first.folder}/postmaster.pid`)).toBe(true);
  const third = await ensureCluster({ name: 'pg-fault', fast: true });
  expect(third.adopted).toBe(false);
  await third.stop();
  expect(existsSync(`${first.folder}/postmaster.pid`)).toBe(false);
});

test('the commands give up with one sentence', async () => {
  const { spawnSync } = await import('node:child_process');
  const { createServer } = await import('node:net');
  const start = (args: readonly string[], env: Record<string, string> = {}): string => {
    const r = spawnSync(process.execPath, [`${root}tools/start.mjs`, ...args], { env: { ...process.env, ...env }, encoding: 'utf8', timeout: 60_000 });
    expect(r.status).toBe(1);
    expect(r.stderr).not.toMatch(/ at .+:\d+:\d+/);
    return r.stderr.trim();
  };
  expect(start(['--nonsense'])).toContain('is unknown');
  expect(start(['--workshop', 'No Good'])).toContain('needs a name');
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', () => resolve()));
  const { port } = taken.address() as { port: number };
  expect(start(['--workshop', 'test_port'], { RINNOVO_PORT: String(port), DATABASE_URL: process.env['DATABASE_URL'] ?? '' })).toContain(
    `Port ${port} is taken`,
  );
  taken.close();
  expect(start([], { DATABASE_URL: 'postgresql://nobody@127.0.0.1:1/x' })).toContain('does not answer');
  const { sentenceOf } = (await import(`${root}tools/lib/say.mjs`)) as { sentenceOf: (e: unknown) => string };
  expect(sentenceOf(Object.assign(new Error('write'), { code: 'ENOSPC' }))).toContain('The disk is full');
});

test('a reading that was typed while the server was away is kept once it is back, also after the page was loaded anew', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await page.locator('[data-target="checkWidthAcross|plate|"]').click();
  const entry = page.locator('rn-reading-entry');
  await entry.getByLabel('Reading').fill('105');
  await workshop.kill();
  await entry.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByText('One entry is stored here')).toBeVisible();
  // the page goes, and is opened again when the server is back
  page.on('dialog', (asked) => void asked.accept());
  await page.goto('about:blank');
  await workshop.start();
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await expect(page.locator('[data-target="checkWidthAcross|plate|"]')).toContainText('105.00');
  const rows = (await workshop.db('readings').where({ target_key: 'checkWidthAcross|plate|' }).select('raw')) as { raw: string }[];
  expect(rows).toEqual([{ raw: '105' }]);
});

test('while the server is away several readings are taken, each seen at once, and all of them are kept in their order', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  const cell = (key: string) => page.locator(`[data-target="${key}"]`);
  const read = async (key: string, value: string): Promise<void> => {
    // the page goes on to the next reading by itself
    if ((await cell(key).getAttribute('aria-expanded')) !== 'true') await cell(key).click();
    const entry = page.locator('rn-reading-entry');
    await entry.getByLabel('Reading').fill(value);
    await entry.getByRole('button', { name: 'Save reading' }).click();
    await expect(cell(key)).toContainText(value);
  };
  await expect(cell('checkWidthAlong|plate|')).toBeVisible();
  await workshop.kill();
  await read('checkWidthAcross|plate|', '105.00');
  await read('checkWidthAlong|plate|', '61.30');
  await expect(page.getByText('2 entries are stored here')).toBeVisible();
  await workshop.start();
  await expect(page.getByText('The server does not answer')).toBeHidden({ timeout: 30_000 });
  // the server answers before all that was stored here has been sent
  const kept = async (): Promise<string[]> => {
    const rows = (await workshop.db('readings').whereIn('raw', ['105.00', '61.30']).orderBy('at').select('raw')) as { raw: string }[];
    return rows.map((r) => r.raw);
  };
  await expect.poll(kept, { timeout: 15_000 }).toEqual(['105.00', '61.30']);
  await page.reload();
  await expect(cell('checkWidthAlong|plate|')).toContainText('61.30');
});
