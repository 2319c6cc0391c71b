// Templates against independent readers: qpdf says that the PDF is well formed, pdftoppm measures its rules and its outline at 300 dpi; ezdxf and rsvg-convert read the files for a cutter.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { AnatomyRevision, Problem } from '@rinnovo/contract';
import { withChoice, type PickupChoice } from '@rinnovo/core/check';
import { layersOf, PAPERS, panelOf, SHEET, templateOf, tilesFor, type PaperId } from '@rinnovo/core/cut';
import { dxfFile, svgFile } from '@rinnovo/core/format';
import type { Hole } from '@rinnovo/core/instrument';
import { bounds, perimeter, roundedRectangle } from '@rinnovo/core/shape';
import { demoWorkshop } from '@rinnovo/demo';
import sharp from 'sharp';
import { loadJobState } from '../jobs/job-state.js';
import { fromLineToLine, PX, sheetOf, type Sheet } from '../testing/paper.js';
import { asBytes } from '../testing/bytes.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
/** A route of 90 × 44, so that its edge can be found on the paper. */
const route = { at: { x: 0, y: 102, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(90, 44, 5), depth: 18, bored: false }] };
describe('a template', () => {
  let w: TestWorkshop;
  let choice: PickupChoice;
  const folder = mkdtempSync(path.join(tmpdir(), 'template-'));
  beforeAll(async () => {
    w = await testWorkshop();
    const s = await loadJobState(w.db, job.id);
    choice = { ...(s.record.plan.choices[0] as PickupChoice), route, insertFitted: false };
    await w.change(`/api/jobs/${job.id}/plan`, s.record.version, { revisions: s.revisions, plan: withChoice(s.record.plan, choice) }).expect(200);
  }, 30_000);
  afterAll(async () => {
    rmSync(folder, { recursive: true });
    await w.close();
  });

  const get = (query: string) => w.get(`/api/jobs/${job.id}/template?choice=${encodeURIComponent('neck pickup')}${query}`);
  async function pdfOf(query = ''): Promise<string> {
    const answer = await asBytes(get(query));
    expect([answer.status, answer.headers['content-type']]).toEqual([200, 'application/pdf']);
    const file = path.join(folder, `t${Math.random()}.pdf`);
    writeFileSync(file, answer.body as Buffer);
    return file;
  }
  /** From the first to the last of the tall ticks of a rule, px: beside it, where only its ticks of 3 mm reach. */
  function rule(sheet: Sheet, paper: PaperId, way: 'across' | 'along'): number {
    const tiling = tilesFor({ minX: 0, minY: 0, maxX: 1, maxY: 1 }, paper);
    return fromLineToLine(sheet, way, SHEET.margin + (way === 'across' ? tiling.height : tiling.width) + 6 + 2.2);
  }

  for (const paper of Object.keys(PAPERS) as PaperId[]) {
    it(`on ${paper} is well formed and its rules are 1181 px at 300 dpi in both directions`, async () => {
      const file = await pdfOf(`&paper=${paper}`);
      execFileSync('qpdf', ['--check', file]);
      const page = sheetOf(file);
      const [width, height] = PAPERS[paper];
      expect(Math.abs(page.width - width * PX) + Math.abs(page.height - height * PX)).toBeLessThan(3);
      expect(Math.abs(rule(page, paper, 'across') - 1181)).toBeLessThanOrEqual(1);
      expect(Math.abs(rule(page, paper, 'along') - 1181)).toBeLessThanOrEqual(1);
    });
  }

  it('has its route where it is: 90 mm from edge to edge along the middle of the sheet', async () => {
    const s = await loadJobState(w.db, job.id);
    const drawing = templateOf(s.state, choice, false)!;
    const tiling = tilesFor(drawing.box, 'A4');
    expect(tiling.tiles.length).toBe(1);
    const g = sheetOf(await pdfOf());
    const [tile] = tiling.tiles;
    const at = (x: number, y: number): readonly [number, number] => [(x - tile!.x + SHEET.margin) * PX, (y - tile!.y + SHEET.margin) * PX];
    // a row through the straight sides, away from lines that cross it
    const row = Math.round(at(0, 102 + 13)[1]);
    const dark = (x: number): boolean => [-2, -1, 0, 1, 2].some((d) => g.dark(Math.round(at(x, 0)[0]) + d, row));
    const b = bounds(drawing.outlines.filter((o) => o.layer === 'route').map((o) => o.outline));
    expect([dark(b.minX), dark(b.maxX), dark(b.minX + 1.4), dark(b.maxX - 1.4)]).toEqual([true, true, false, false]);
    expect(b.maxX - b.minX).toBe(90);
  });

  it('mirrored has all on the other side', async () => {
    const s = await loadJobState(w.db, job.id);
    const [plain, other] = [false, true].map((m) =>
      bounds(
        templateOf(s.state, choice, m)!
          .outlines.filter((o) => o.layer === 'plate')
          .map((o) => o.outline),
      ),
    );
    expect([other!.minX, other!.maxX]).toEqual([-plain!.maxX, -plain!.minX]);
    const words = async (query: string): Promise<string> => execFileSync('pdftotext', [await pdfOf(query), '-'], { encoding: 'utf8' });
    expect([(await words('')).includes('MIRRORED'), (await words('&mirrored=true')).includes('MIRRORED')]).toEqual([false, true]);
  });

  it('is corrected by what its rules measured, each way for itself; beyond 0.3 mm it is to be printed again', async () => {
    const g = sheetOf(await pdfOf('&ruleX=99.8&ruleY=100.2'));
    // 1181.1 × 100 / 99.8, and / 100.2
    expect(Math.abs(rule(g, 'A4', 'across') - 1183.5)).toBeLessThanOrEqual(1.2);
    expect(Math.abs(rule(g, 'A4', 'along') - 1178.7)).toBeLessThanOrEqual(1.2);
    const refused = await get('&ruleX=98');
    expect([refused.status, (refused.body as Problem).errors?.map((e) => e.pointer)]).toEqual([422, ['/ruleX']]);
  });

  it('comes back from an independent reader of drawings with a layer for each, in mm, as long as it is', async () => {
    const s = await loadJobState(w.db, job.id);
    const layers = layersOf(templateOf(s.state, choice, false)!);
    const script = path.join(import.meta.dirname, '../../../core/src/testing/drawings.py');
    const text = execFileSync('/usr/bin/python3', [script, 'audit'], { input: dxfFile(layers, 'right-handed'), encoding: 'utf8' });
    const read = JSON.parse(text) as { units: number; errors: string[]; lengths: Record<string, number[]> };
    expect([read.units, read.errors]).toEqual([4, []]);
    expect(Object.keys(read.lengths).sort()).toEqual(layers.map((l) => l.name).sort());
    for (const { name, outlines } of layers)
      outlines.forEach(({ outline }, i) =>
        expect(Math.abs(read.lengths[name]![i]! - perimeter(outline)))
          .withContext(name)
          .toBeLessThan(0.01),
      );
  });

  it('as SVG is true to scale in an independent renderer: its route of 90 mm is 1063 px at 300 dpi', async () => {
    const s = await loadJobState(w.db, job.id);
    const layers = layersOf(templateOf(s.state, choice, false)!).filter((l) => l.name === 'route');
    const svg = path.join(folder, 'route.svg');
    writeFileSync(svg, svgFile(layers, 'right-handed'));
    execFileSync('rsvg-convert', ['--dpi-x', '300', '--dpi-y', '300', '--background-color', 'white', '-o', path.join(folder, 'route.png'), svg]);
    const { data, info } = await sharp(path.join(folder, 'route.png')).greyscale().raw().toBuffer({ resolveWithObject: true });
    const row = data.subarray(Math.round(info.height / 2) * info.width, (Math.round(info.height / 2) + 1) * info.width);
    const dark = [...row].flatMap((v, x) => (v < 160 ? [x] : []));
    // from the middle of one line to the middle of the other
    const line = dark.findIndex((x, i) => dark[i + 1] !== x + 1) + 1;
    expect(Math.abs(dark.at(-1)! - dark[0]! - (line - 1) - 90 * PX)).toBeLessThanOrEqual(1.5);
  });

  it('is a copy of a panel where one is asked for: its holes where they are, seen from behind, and none of what has no hole', async () => {
    const panel = async (id: string, more = '') => w.get(`/api/jobs/${job.id}/template?panel=${encodeURIComponent(id)}${more}`);
    const { document } = (await w.get(`/api/instruments/${job.instrument}/anatomy`)).body as AnatomyRevision;
    const hole = { id: 'volume', name: 'Volume', kind: 'pot', face: 'top', frame: 'body', at: { x: 20, y: 102 }, through: true };
    const given = { diameter: { value: 9.6, limit: 0.1, basis: { kind: 'stated' } }, bare: null, depth: null, limit: 0.25, basis: { kind: 'stated' } };
    const holes = [...document.holes, { ...hole, ...given, hiddenBy: null, condition: 'sound' } as Hole];
    await w.change(`/api/instruments/${job.instrument}/anatomy`, 1, { document: { ...document, holes } }).expect(200);
    const plate = document.plates[0]!.id;
    const answer = await panel(plate, '&mirrored=true');
    expect([answer.status, answer.headers['content-type']]).toEqual([200, 'application/pdf']);
    expect(String(answer.headers['content-disposition'])).toContain('panel plan');
    const s = await loadJobState(w.db, job.id);
    const drawing = panelOf(s.state, plate, true)!;
    const made = bounds(drawing.outlines.filter((o) => o.layer === 'holes').map((o) => o.outline));
    expect([made.minX, made.maxX].map((x) => Number(x.toFixed(6)))).toEqual([-24.8, -15.2]);
    for (const none of ['moon', 'neck pocket'])
      expect((await panel(none)).status)
        .withContext(none)
        .toBe(404);
    // one of the two, never both and never neither
    expect((await w.get(`/api/jobs/${job.id}/template?panel=${plate}&choice=x`)).status).toBe(400);
    expect((await w.get(`/api/jobs/${job.id}/template`)).status).toBe(400);
  });

  it('is none for paper that is none, a rule of 0 or 200, or a choice without a route', async () => {
    for (const wrong of ['&paper=Napkin', '&ruleX=0', '&ruleY=200', '&ruleX=abc', '&moon=1'])
      expect((await get(wrong)).status)
        .withContext(wrong)
        .toBe(400);
    expect((await w.get(`/api/jobs/${job.id}/template?choice=moon`)).status).toBe(404);
  });
});

describe('a template of a left-handed instrument', () => {
  it('is printed as the instrument lies, says so, and mirrored is against that', async () => {
    const w = await testWorkshop();
    const folder = mkdtempSync(path.join(tmpdir(), 'left-'));
    try {
      // a route with a foot on the treble side: from −40 to 40 at the nut's end, from 25 to 40 towards the bridge
      const corners = [
        [-40, -18],
        [40, -18],
        [40, 18],
        [25, 18],
        [25, 4],
        [-40, 4],
      ];
      const outline = { vertices: corners.map(([x = 0, y = 0]) => ({ x, y, bulge: 0 })) };
      const foot: PickupChoice['route'] = { at: { x: 0, y: 102, turn: 0 }, levels: [{ id: 'main', outline, depth: 18, bored: false }] };
      const { document } = (await w.get(`/api/instruments/${job.instrument}/anatomy`)).body as AnatomyRevision;
      await w.change(`/api/instruments/${job.instrument}/anatomy`, 1, { document: { ...document, handed: 'left' } }).expect(200);
      const s = await loadJobState(w.db, job.id);
      const choice = { ...(s.record.plan.choices[0] as PickupChoice), route: foot, insertFitted: false };
      await w.change(`/api/jobs/${job.id}/plan`, s.record.version, { revisions: s.revisions, plan: withChoice(s.record.plan, choice) }).expect(200);
      const now = await loadJobState(w.db, job.id);
      for (const mirrored of [false, true]) {
        const answer = await asBytes(w.get(`/api/jobs/${job.id}/template?choice=${encodeURIComponent(choice.id)}&mirrored=${mirrored}`));
        const file = path.join(folder, `${mirrored}.pdf`);
        writeFileSync(file, answer.body as Buffer);
        const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
        expect([text.includes('left-handed, seen from the top'), text.includes('MIRRORED')]).toEqual([true, mirrored]);
        // the paper alone, and where its own sheet begins: a row between the long side and the end of the foot meets the foot's two sides only
        const sheet = sheetOf(file);
        const [tile] = tilesFor(templateOf(now.state, choice, mirrored)!.box, 'A4').tiles;
        const at = (x: number, y: number): readonly [number, number] => [
          Math.round((x - tile!.x + SHEET.margin) * PX),
          Math.round((y - tile!.y + SHEET.margin) * PX),
        ];
        const dark = (x: number): boolean => [-2, -1, 0, 1, 2].some((d) => sheet.dark(at(x, 0)[0] + d, at(0, 102 + 11)[1]));
        const side = mirrored ? 1 : -1;
        expect([dark(side * 25), dark(side * 40), dark(-side * 25), dark(-side * 40)])
          .withContext(`mirrored: ${mirrored}`)
          .toEqual([true, true, false, false]);
      }
    } finally {
      rmSync(folder, { recursive: true });
      await w.close();
    }
  }, 30_000);
});
