// Figures for docs/performance.md: a plan of 40 parts on 120 features in the page itself: a part in the hand, and the ways out in the batch worker.
import { knownAt } from '@rinnovo/core/instrument';
import type { Page } from '@playwright/test';
import { answered, byName, frames, takeHold, tell, watchWorker, type TraceEvent } from './measure.js';
import { FIRST, test, type Workshop } from './workshop.js';

const JOB = '00000000-0000-4000-8000-000000000021';
const stated = { kind: 'stated' } as const;
const outline = (x: number, y: number) => ({
  vertices: [
    { x: x - 29, y: y - 15, bulge: 0 },
    { x: x + 29, y: y - 15, bulge: 0 },
    { x: x + 29, y: y + 15, bulge: 0 },
    { x: x - 29, y: y + 15, bulge: 0 },
  ],
});
const holes = Array.from({ length: 98 }, (_, i) => ({
  id: `hole ${i}`,
  name: `Hole ${i}`,
  kind: 'pot',
  face: 'top',
  frame: 'body',
  at: { x: -130 + (i % 10) * 26, y: 200 + Math.floor(i / 10) * 26 },
  diameter: { value: 8, limit: 0.1, basis: stated },
  bare: null,
  through: true,
  depth: null,
  limit: 0.1,
  basis: stated,
  hiddenBy: null,
  condition: 'sound',
}));
const cavities = Array.from({ length: 16 }, (_, i) => ({
  id: `cavity ${i}`,
  name: `Cavity ${i}`,
  kind: 'control',
  face: 'back',
  frame: 'body',
  hiddenBy: null,
  condition: 'sound',
  levels: [
    {
      id: 'c',
      set: 'found',
      outline: { outline: outline(-110 + (i % 4) * 70, 200 + Math.floor(i / 4) * 34), limit: 0.25, basis: stated, across: null, along: null },
      depth: { value: 32, limit: 0.1, basis: stated },
      bored: false,
    },
  ],
}));

/** Small cavities beside the route, in both faces. */
const small = Array.from({ length: 90 }, (_, i) => {
  const [x, y] = [-140 + (i % 12) * 25, 190 + Math.floor(i / 12) * 22];
  const corners = [
    [-6, -5],
    [6, -5],
    [6, 5],
    [-6, 5],
  ] as const;
  const edge = {
    outline: { vertices: corners.map(([dx, dy]) => ({ x: x + dx, y: y + dy, bulge: 0 })) },
    limit: 0.25,
    basis: stated,
    across: null,
    along: null,
  };
  const level = { id: 'p', set: 'found', outline: edge, depth: { value: 10, limit: 0.1, basis: stated }, bored: false };
  const face = i % 2 === 0 ? 'top' : 'back';
  return { id: `small ${i}`, name: `Small ${i}`, kind: 'other', face, frame: 'body', hiddenBy: null, condition: 'sound', levels: [level] };
});

/** An outline of 150 points as a tracing by hand comes out: a wavy oval that the part clashes with all round, or the wavy edge of a route that takes it. */
function traced(fits: boolean): { readonly vertices: readonly { readonly x: number; readonly y: number; readonly bulge: 0 }[] } {
  const [width, height] = fits ? [92, 46] : [84, 38];
  return {
    vertices: Array.from({ length: 150 }, (_, i) => {
      const a = (2 * Math.PI * i) / 150;
      const wave = 1 + (fits ? 0.003 : 0.015) * Math.sin(9 * a);
      const [c, s] = [Math.cos(a), Math.sin(a)];
      // an oval, or nearly a rectangle: a superellipse of the eighth degree
      const r = fits ? (Math.abs(c) ** 8 + Math.abs(s) ** 8) ** (-1 / 8) : 1;
      return { x: (width / 2) * wave * r * c, y: (height / 2) * wave * r * s, bulge: 0 };
    }),
  };
}

type Put = (path: string, version: string, body: unknown) => Promise<void>;
type Get = (path: string) => Promise<unknown>;

async function talkTo({ url }: Workshop): Promise<{ readonly get: Get; readonly put: Put }> {
  const get: Get = async (path) => (await fetch(url + path)).json();
  const { items: people } = (await get('/api/people')) as { items: { id: string }[] };
  const put: Put = async (path, version, body) => {
    const headers = { 'Content-Type': 'application/json', 'If-Match': version, 'Write-Id': crypto.randomUUID(), Person: people[0]?.id ?? '' };
    const answer = await fetch(url + path, { method: 'PUT', headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(await answer.text());
  };
  return { get, put };
}

/** The demo's first instrument with 120 features, and a traced route planned in it. */
async function tracedRoute(workshop: Workshop, fits: boolean): Promise<void> {
  const { get, put } = await talkTo(workshop);
  const { document } = (await get(`/api/instruments/${FIRST}/anatomy`)) as { document: { cavities: object[] } };
  await put(`/api/instruments/${FIRST}/anatomy`, '"1"', { document: { ...document, holes: holes.slice(0, 24), cavities: [...document.cavities, ...small] } });
  const { version, plan } = (await get(`/api/jobs/${JOB}/plan`)) as { version: number; plan: { choices: object[] } };
  const route = { at: { x: 0, y: 102, turn: 0 }, levels: [{ id: 'main', outline: traced(fits), depth: 18, bored: false }] };
  await put(`/api/jobs/${JOB}/plan`, `"${version}"`, { plan: { ...plan, choices: [{ ...plan.choices[0], route }] }, revisions: knownAt({ anatomy: 2 }) });
}

/** The demo's first instrument with 120 features, and 40 parts planned for it: the last a pot for a hole that is not there yet. */
async function wholeShop(workshop: Workshop): Promise<void> {
  const { get, put } = await talkTo(workshop);
  const { document } = (await get(`/api/instruments/${FIRST}/anatomy`)) as { document: { cavities: object[] } };
  const { items: parts } = (await get('/api/parts')) as { items: { part: { id: string; kind: string } }[] };
  await put(`/api/instruments/${FIRST}/anatomy`, '"1"', { document: { ...document, holes, cavities: [...document.cavities, ...cavities] } });
  const goes = parts.filter(({ part }) => ['pot', 'push-pull pot', 'jack', 'mini toggle'].includes(part.kind)).map(({ part }) => part.id);
  const pot = parts.find(({ part }) => part.kind === 'pot')?.part.id ?? null;
  const { version, plan } = (await get(`/api/jobs/${JOB}/plan`)) as { version: number; plan: { choices: object[] } };
  const choice = (id: string, place: object, part: string | null): object => ({ kind: 'hardware', id, place, part, alternatives: [], count: 1, work: [] });
  const more = Array.from({ length: 38 }, (_, i) => choice(`hole ${i}`, { on: 'feature', feature: `hole ${i}` }, goes[i % goes.length] ?? null));
  const fresh = choice('new', { on: 'face', face: 'top', at: { x: 20, y: 330 }, hole: 'pot' }, pot);
  await put(`/api/jobs/${JOB}/plan`, `"${version}"`, {
    plan: { ...plan, choices: [...plan.choices.slice(0, 1), ...more, fresh] },
    revisions: knownAt({ anatomy: 2 }),
  });
}

async function lookAt(page: Page, choice: string): Promise<void> {
  const row = page.locator(`[data-choice="${choice}"]`);
  await row.click();
  await page.locator(`[data-choice="${choice}"][aria-current="true"]`).waitFor();
}

test('a part in the hand, of 40 on 120 features', async ({ page, workshop, browser }) => {
  await wholeShop(workshop);
  await watchWorker(page, 'evaluate');
  await page.goto(`${workshop.url}/i/${FIRST}/fit`);
  await lookAt(page, 'new');
  const wander = await takeHold(page, 20, 16);
  await wander(60);
  await answered(page);
  await wander(300);
  const { took, waited } = await answered(page);
  tell('a part in the hand to its verdicts, in the worker', took);
  tell('a part in the hand to its verdicts, message to message', waited);
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] });
  await wander(200);
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  await page.mouse.up();
  tell('main thread per frame, a part of 40 in the hand', frames(trace.traceEvents));
  for (const [name, ms] of byName(trace.traceEvents)) console.log(`  ${name}: ${ms.toFixed(0)} ms over all`);
});

for (const fits of [true, false])
  test(`a traced route of 150 points in the hand, among 120 features, the part ${fits ? 'goes in' : 'clashes'}`, async ({ page, workshop }) => {
    await tracedRoute(workshop, fits);
    await watchWorker(page, 'evaluate');
    await page.goto(`${workshop.url}/i/${FIRST}/cut`);
    const wander = await takeHold(page, 12, 10);
    await wander(60);
    await answered(page);
    await wander(300);
    const { took, waited } = await answered(page);
    await page.mouse.up();
    tell(`a move of a traced route to its verdicts, in the worker, the part ${fits ? 'goes in' : 'clashes'}`, took);
    tell('a move of a traced route to its verdicts, message to message', waited);
  });

test('ways out of ten of 40 places, one after another in the batch worker', async ({ page, workshop }) => {
  await wholeShop(workshop);
  await watchWorker(page, 'options');
  await page.goto(`${workshop.url}/i/${FIRST}/fit`);
  const ways = page.locator('[data-remedy]');
  await ways.first().waitFor();
  for (let round = 0; round < 3; round++) {
    await answered(page);
    let found = 0;
    for (let i = 0; i < 10; i++) {
      await lookAt(page, `hole ${i + round * 10}`);
      await page.locator('rn-remedy-list .working').waitFor({ state: 'hidden' });
      await page.waitForTimeout(150);
      found += await ways.count();
    }
    const { waited } = await answered(page);
    console.log(
      `${found} ways out of ${waited.length} places, question to last answer: ${waited.reduce((s, t) => s + t, 0).toFixed(0)} ms together, the longest ${Math.max(...waited).toFixed(0)} ms`,
    );
  }
});
