// The drawer: outlines kept with the drawing that they are from, put away and brought back.
import { randomUUID } from 'node:crypto';
import { outlinesFromSvg } from '@rinnovo/core/format';
import type { KeptOutline } from '@rinnovo/contract';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const SVG = `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50" onload="alert(1)">
  <script>alert(2)</script><style>rect { fill: url(http://nowhere.invalid/x) }</style><image href="http://nowhere.invalid/y"/>
  <a href="javascript:alert(3)"><rect id="w &amp; x" width="70" height="39" rx="3.5" style="fill:red" onclick="alert(4)"/></a></svg>`;
const outline = { vertices: [0, 1, 2, 3].map((i) => ({ x: i < 2 ? 70 * i : 70 * (3 - i), y: i < 2 ? 0 : 39, bulge: 0 })) };

describe('the drawer', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const keep = (name: string, source: object | null, id: string = randomUUID()) => w.create(`/api/outlines/${id}`, { name, outline, limit: 0.1, source });
  const names = async (): Promise<readonly string[]> => ((await w.get('/api/outlines')).body as { items: KeptOutline[] }).items.map((o) => o.name);

  it('keeps an outline with its drawing, and of that only the shapes: nothing that could run is stored', async () => {
    const id = randomUUID();
    const made = await keep('Wide window', { file: 'window.svg', kind: 'svg', text: SVG }, id);
    expect(made.status).toBe(201);
    expect(made.body).toEqual({ id, name: 'Wide window', outline, limit: 0.1, file: 'window.svg', archived: false, version: 1 });
    const { body } = (await w.get(`/api/outlines/${id}/source`)) as { body: { file: string; kind: string; text: string } };
    expect([body.file, body.kind]).toEqual(['window.svg', 'svg']);
    expect(body.text).not.toMatch(/script|alert|style|http:\/\/nowhere|on[a-z]+=|href/);
    expect(outlinesFromSvg(body.text)).toEqual(outlinesFromSvg(SVG.replace(/<(script|style|image)[\s\S]*?(<\/\1>|\/>)/g, '')));
    const [row] = (await w.db('outlines').where({ id })) as { source_text: string }[];
    expect(row!.source_text).toBe(body.text);
  });

  it('refuses an SVG that is none, beside where it was, and what is there already', async () => {
    const broken = await keep('Broken', { file: 'b.svg', kind: 'svg', text: '<svg><path' });
    expect(broken.status).toBe(400);
    expect(JSON.stringify(broken.body)).toContain('/source/text');
    expect((await keep('Zero', { file: 'b.dxf', kind: 'dxf', text: 'a\0b' })).status).toBe(400);
    const id = randomUUID();
    expect((await keep('Once', null, id)).status).toBe(201);
    expect((await keep('Twice', null, id)).status).toBe(412);
    expect((await w.get(`/api/outlines/${id}/source`)).status).toBe(404);
  });

  it('is put away and brought back, by the version that was read', async () => {
    const id = randomUUID();
    await keep('Old ring', { file: 'ring.dxf', kind: 'dxf', text: '0\nEOF\n' }, id);
    expect(await names()).toContain('Old ring');
    expect((await w.change(`/api/outlines/${id}/archived`, 1, { archived: true })).status).toBe(200);
    expect(await names()).not.toContain('Old ring');
    expect((await w.change(`/api/outlines/${id}/archived`, 1, { archived: false })).status).toBe(412);
    expect((await w.change(`/api/outlines/${id}/archived`, 2, { archived: false })).status).toBe(200);
    expect(await names()).toContain('Old ring');
    expect((await w.change(`/api/outlines/${randomUUID()}/archived`, 1, { archived: true })).status).toBe(404);
  });

  it('is read page by page, by name', async () => {
    for (const n of ['a 1', 'a 2', 'a 3']) await keep(n, null);
    const seen: string[] = [];
    let after = '';
    do {
      const { body } = (await w.get(`/api/outlines?limit=2${after}`)) as { body: { items: KeptOutline[]; next: string | null } };
      seen.push(...body.items.map((o) => o.name));
      after = body.next === null ? '' : `&after=${encodeURIComponent(body.next)}`;
    } while (after !== '');
    expect(seen.filter((name) => /^a \d$/.test(name))).toEqual(['a 1', 'a 2', 'a 3']);
    expect(seen).toEqual([...seen].sort());
    expect([...new Set(seen)].length).toBe(seen.length);
    expect((await w.get('/api/outlines?after=%00')).status).toBe(400);
  });
});
