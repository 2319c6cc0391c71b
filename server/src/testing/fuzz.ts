import { randomUUID } from 'node:crypto';
import request, { type Response } from 'supertest';
import { demoWorkshop } from '@rinnovo/demo';
import { ROUTES } from './routes.js';
import type { TestWorkshop } from './workshop.js';

type Json = unknown;

const instrument = demoWorkshop.instruments[0]!.id;
const job = demoWorkshop.jobs[0]!.id;

/** What is read, with an id in the place of {id}. */
const READ: readonly string[] = [
  '/api/people',
  '/api/instruments',
  '/api/instruments/{id}',
  '/api/instruments/{id}/anatomy',
  '/api/instruments/{id}/circuit',
  '/api/instruments/{id}/circuit/sheet',
  '/api/instruments/{id}/circuit/{revision}',
  '/api/instruments/{id}/anatomy/1',
  '/api/instruments/{id}/anatomy/found',
  '/api/shop/letterhead',
  '/api/instruments/{id}/anatomy/history',
  '/api/instruments/{id}/readings',
  '/api/instruments/{id}/readings/csv',
  '/api/instruments/{id}/surveys',
  '/api/instruments/{id}/findings',
  '/api/instruments/{id}/ledger',
  '/api/instruments/{id}/photographs',
  '/api/instruments/{id}/passport',
  '/api/jobs/{id}',
  '/api/jobs/{id}/plan',
  '/api/jobs/{id}/work',
  '/api/parts',
  '/api/parts/{id}',
  '/api/stock',
  '/api/shop',
  '/api/buy-list',
  '/api/lessons',
  '/api/outlines',
  '/api/outlines/{id}/source',
  '/api/decisions/{id}/way-back',
  '/api/nothing/{id}',
];

/** Junk of every kind that JSON has, and some that no field wants. */
const JUNK: readonly Json[] = [
  null,
  true,
  false,
  0,
  -0,
  1e308,
  -1e308,
  5e-324,
  2 ** 53,
  -1,
  0.1,
  1e-9,
  '',
  ' ',
  '0',
  'NaN',
  '\u0000',
  '\ud800',
  '🪵',
  'x'.repeat(300),
  "'; DROP TABLE people; --",
  '../../etc/passwd',
  '__proto__',
  'constructor',
  '2026-13-45',
  '9999-12-31T23:59:59Z',
  [],
  {},
  [[]],
  [null],
  { a: 1 },
  { __proto__: null, toString: 1 },
  Array.from({ length: 50 }, () => 0),
  '00000000-0000-4000-8000-000000000000',
  '%00',
  '\u202e',
  '1e400',
];

const pick = <T>(random: () => number, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** A good body with one to three things of it spoilt: another value, a key gone, a key more, the whole thing. */
function spoilt(random: () => number, good: Json): Json {
  let body = good;
  for (let n = 1 + Math.floor(random() * 3); n > 0; n -= 1) body = spoiltOnce(random, body);
  return body;
}

function spoiltOnce(random: () => number, x: Json): Json {
  if (typeof x !== 'object' || x === null || random() < 0.15) return pick(random, JUNK);
  if (Array.isArray(x)) {
    if (x.length === 0 || random() < 0.2) return [...(x as Json[]), pick(random, JUNK)];
    const at = Math.floor(random() * x.length);
    return random() < 0.2 ? x.filter((_, i) => i !== at) : x.map((y: Json, i) => (i === at ? spoiltOnce(random, y) : y));
  }
  const entries = Object.entries(x);
  const key = entries.length === 0 ? 'x' : pick(random, entries)[0];
  if (random() < 0.12) return Object.fromEntries(entries.filter(([k]) => k !== key));
  if (random() < 0.08) return { ...x, [asText(pick(random, JUNK))]: pick(random, JUNK) };
  return Object.fromEntries(entries.map(([k, v]) => [k, k === key ? spoiltOnce(random, v as Json) : (v as Json)]));
}

/** One request of a seeded stream over every route; what it was, for whoever has to find it again. */
export async function fuzzed(w: TestWorkshop, random: () => number): Promise<{ readonly what: string; readonly answer: Response }> {
  const id = pick(random, [randomUUID(), instrument, job, w.person, 'x', '%00', '{}', '00000000-0000-0000-0000-000000000000']);
  if (random() < 0.3) {
    const query = random() < 0.5 ? '' : `?${pick(random, ['limit', 'after', 'find', 'archived', 'x'])}=${encodeURIComponent(well(asText(pick(random, JUNK))))}`;
    const path = pick(random, READ).replace('{id}', id) + query;
    return { what: `GET ${path}`, answer: await w.get(path) };
  }
  const route = pick(random, Object.values(ROUTES));
  const path = route.path(id);
  const body = random() < 0.1 ? route.good(id) : spoilt(random, route.good(id));
  const method = random() < 0.1 ? ('delete' as const) : ('put' as const);
  const text = JSON.stringify(body);
  const answer = await request(w.app)
    [method](path)
    .set('Person', random() < 0.95 ? w.person : 'x')
    .set('Write-Id', randomUUID())
    .set(pick(random, [{ 'If-None-Match': '*' }, { 'If-Match': `"${1 + Math.floor(random() * 3)}"` }, { 'If-Match': 'x' }]))
    .set('Content-Type', 'application/json')
    .send(text);
  return { what: `${method.toUpperCase()} ${path} ${text.slice(0, 400)}`, answer };
}

const asText = (x: Json): string => (typeof x === 'string' ? x : JSON.stringify(x));

/** What an address can hold: no lone half of a pair. */
const well = (s: string): string => s.replace(/\p{Surrogate}/gu, '?');
