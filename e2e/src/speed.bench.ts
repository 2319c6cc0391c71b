// Figures for docs/performance.md: a move of the route to its verdicts in the worker, main-thread work per frame, first load, API reads.
import { gzipSync } from 'node:zlib';
import { answered, byName, frames, takeHold, tell, watchWorker, type TraceEvent } from './measure.js';
import { chooseReroute, stage } from './scenes.js';
import { FIRST, test } from './workshop.js';

test('a move of the route: worker and main thread', async ({ page, workshop, browser }) => {
  await watchWorker(page, 'evaluate');
  await chooseReroute(page, workshop.url);
  await stage(page, workshop.url, 'cut');
  const wander = await takeHold(page, 10, 8);
  await wander(60);
  await answered(page);
  await wander(200);
  const { took, waited } = await answered(page);
  tell('move to verdicts, in the worker', took);
  tell('move to verdicts, message to message', waited);
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] });
  await wander(200);
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  await page.mouse.up();
  tell('main thread per frame: script, style, layout, paint', frames(trace.traceEvents));
  for (const [name, ms] of byName(trace.traceEvents)) console.log(`  ${name}: ${ms.toFixed(0)} ms over all`);
});

test('first load', async ({ page, workshop }) => {
  let bytes = 0;
  let fonts = 0;
  const seen = new Set<string>();
  page.on('response', (r) => {
    // the workers share one script, which the second of them takes from the cache
    if (seen.has(r.url())) return;
    seen.add(r.url());
    void r
      .body()
      .then((b) => {
        if (/\.woff2?$/.test(r.url())) fonts += b.length;
        else if (!r.url().includes('/api/')) bytes += gzipSync(b).length;
      })
      .catch(() => undefined);
  });
  await page.goto(`${workshop.url}/i/${FIRST}/fit`);
  await page.locator('[data-remedy^="reroute"]').waitFor();
  await page.waitForTimeout(1000);
  console.log(`first load of Fit, everything but fonts, gzip: ${(bytes / 1000).toFixed(0)} kB; fonts ${(fonts / 1000).toFixed(0)} kB`);
});

test('API reads', async ({ workshop }) => {
  for (const path of [
    '/api/instruments',
    `/api/instruments/${FIRST}/anatomy`,
    `/api/instruments/${FIRST}/readings`,
    '/api/parts',
    '/api/shop',
    '/api/jobs/00000000-0000-4000-8000-000000000021/plan',
  ]) {
    const times: number[] = [];
    for (let i = 0; i < 120; i++) {
      const begun = performance.now();
      await (await fetch(workshop.url + path)).arrayBuffer();
      if (i >= 20) times.push(performance.now() - begun);
    }
    tell(path, times);
  }
});

/** A clock that asks at a steady beat, whatever the answers take. */
async function beat(times: number, every: number, ask: (i: number) => Promise<void>): Promise<void> {
  const all: Promise<void>[] = [];
  for (let i = 0; i < times; i++) {
    all.push(ask(i));
    await new Promise((r) => setTimeout(r, every));
  }
  await Promise.all(all);
}

test('search among 5,000 instruments: 20 clients, each asking twice a second for ten seconds', async ({ workshop }) => {
  const { db } = workshop;
  const [pattern] = (await db('instruments').limit(1).select('maker', 'model', 'owner', 'kind', 'archived')) as Record<string, unknown>[];
  const birds = ['Avocet', 'Bittern', 'Curlew', 'Dotterel', 'Eider', 'Fulmar', 'Godwit', 'Heron', 'Ibis', 'Jackdaw'];
  const rows = Array.from({ length: 5000 }, (_, i) => {
    return {
      ...pattern,
      id: crypto.randomUUID(),
      label: `${birds[i % 10] ?? ''} ${i}`,
      serial: `S-${(i * 7919) % 100_003}`,
      identity: '{}',
      notes: `bench ${i % 37} with a word or two about it`,
    };
  });
  await db.batchInsert('instruments', rows, 500);
  const times: number[] = [];
  const words = ['curlew', 'heron 12', 's-7', 'valverde', 'bench 3', 'nobody has this', 'tern 14', 'godwit word'];
  const client = (n: number): Promise<void> =>
    beat(20, 500, async (i) => {
      const begun = performance.now();
      await (await fetch(`${workshop.url}/api/instruments?limit=60&find=${encodeURIComponent(words[(i + n) % words.length] ?? '')}`)).arrayBuffer();
      times.push(performance.now() - begun);
    });
  await Promise.all(Array.from({ length: 20 }, (_, n) => new Promise((r) => setTimeout(r, n * 25)).then(() => client(n))));
  tell('search among 5,000', times);
});

test('a feature dragged among 120 on the Anatomy page', async ({ page, workshop, browser }) => {
  const { document } = (await (await fetch(`${workshop.url}/api/instruments/${FIRST}/anatomy`)).json()) as { document: { holes: object[] } };
  const holes = Array.from({ length: 114 }, (_, i) => ({
    id: `hole ${i}`,
    name: `Hole ${i}`,
    kind: 'other',
    face: 'top',
    frame: 'body',
    at: { x: -90 + (i % 12) * 15, y: 150 + Math.floor(i / 12) * 15 },
    diameter: { value: 6, limit: 0.25, basis: { kind: 'stated' } },
    bare: null,
    through: true,
    depth: null,
    limit: 0.25,
    basis: { kind: 'stated' },
    hiddenBy: null,
    condition: 'sound',
  }));
  const people = (await (await fetch(`${workshop.url}/api/people`)).json()) as { items: { id: string }[] };
  const put = await fetch(`${workshop.url}/api/instruments/${FIRST}/anatomy`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': '"1"', 'Write-Id': crypto.randomUUID(), Person: people.items[0]?.id ?? '' },
    body: JSON.stringify({ document: { ...document, holes } }),
  });
  if (!put.ok) throw new Error(await put.text());
  await page.goto(`${workshop.url}/i/${FIRST}/anatomy`);
  await page.locator('[data-feature="back cavity"]').waitFor();
  await page.locator('[data-feature="hole 50"]').click();
  const wander = await takeHold(page, 60, 50);
  await wander(60);
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] });
  await wander(200);
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  await page.mouse.up();
  tell('main thread per frame, 120 features', frames(trace.traceEvents));
  for (const [name, ms] of byName(trace.traceEvents)) console.log(`  ${name}: ${ms.toFixed(0)} ms over all`);
});

test('a survey page among 200,000 readings, and a keystroke to its verdict', async ({ page, workshop, browser }) => {
  const { db } = workshop;
  const [survey] = (await db('surveys').whereNotNull('signed_at').orderBy('begun').limit(1).select('id', 'instrument')) as { id: string; instrument: string }[];
  const [pattern] = (await db('instruments').limit(1).select('maker', 'model', 'owner', 'kind', 'archived')) as Record<string, unknown>[];
  const others = Array.from({ length: 500 }, (_, i) => ({ ...pattern, id: crypto.randomUUID(), label: `Other ${i}`, serial: '', identity: '{}', notes: '' }));
  await db.batchInsert('instruments', others, 250);
  const [person] = (await db('people').limit(1).select('id')) as { id: string }[];
  // 400 of them are of the instrument that is looked at
  for (let from = 1; from <= 200_000; from += 20_000)
    await db.raw(
      `INSERT INTO readings (id, instrument, target, target_key, value, "limit", raw, tool, person, at, blind, survey)
       SELECT gen_random_uuid(), CASE WHEN n <= 400 THEN ?::uuid ELSE (?::uuid[])[1 + n % ?] END,
              jsonb_build_object('quantity', 'fretHeight', 'feature', 'fret ' || (1 + n % 20)), 'fretHeight|fret ' || (1 + n % 20) || '|',
              1 + (n % 30) / 100.0, 0.05, '1', 'calliper', ?::uuid, now() - n * interval '1 minute', false, CASE WHEN n <= 400 THEN ?::uuid END
       FROM generate_series(?::int, ?::int) AS n`,
      [survey?.instrument ?? '', others.map((o) => o.id), others.length, person?.id ?? '', survey?.id ?? '', from, from + 19_999],
    );
  // the database at rest: what 200,000 new rows leave to be tidied is done before, not beside
  await db.raw('VACUUM ANALYZE readings');
  await db.raw('CHECKPOINT');
  const of = `/api/instruments/${survey?.instrument ?? ''}`;
  const times: number[] = [];
  for (let i = 0; i < 120; i++) {
    const begun = performance.now();
    // what the page asks for: every page of its readings, its surveys, its findings
    const readings = async (): Promise<void> => {
      let next: string | null = '';
      while (next !== null) {
        const url = `${workshop.url}${of}/readings?limit=1000${next === '' ? '' : `&after=${next}`}`;
        ({ next } = (await (await fetch(url)).json()) as { next: string | null });
      }
    };
    const rest = ['/surveys', '/findings'].map(async (path) => (await fetch(workshop.url + of + path)).arrayBuffer());
    await Promise.all([readings(), ...rest]);
    if (i >= 20) times.push(performance.now() - begun);
  }
  tell('what a survey page asks for among 200,000 readings, 400 of its own', times);

  const open = (await db('surveys').whereNull('signed_at').first('instrument')) as { instrument: string };
  await page.goto(`${workshop.url}/i/${open.instrument}/survey/inspection`);
  await page.locator('[data-step=action]').click();
  const cell = page.locator('rn-step-grid [data-cell]').first();
  await cell.focus();
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] });
  for (let i = 0; i < 60; i++) {
    await page.keyboard.type('1.85');
    await cell.fill('');
    await page.waitForTimeout(16);
  }
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  tell('main thread per frame, typing into a column that is judged', frames(trace.traceEvents));
  for (const [name, ms] of byName(trace.traceEvents)) console.log(`  ${name}: ${ms.toFixed(0)} ms over all`);
});
