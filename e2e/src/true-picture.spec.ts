// A picture is true: outlines read back from the drawn SVG in mm are the anatomy's within 0.01.
import type { Anatomy } from '@rinnovo/core/instrument';
import { toBody } from '@rinnovo/core/instrument';
import { bounds, pointToSegment, segmentsOf, type Outline } from '@rinnovo/core/shape';
import { expect, FIRST, test } from './workshop.js';

test('the map is to scale', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await expect(page.locator('rn-plan-view path.body')).toBeVisible();
  const row = (await workshop.db('revisions').where({ instrument: FIRST }).first()) as { document: Anatomy };
  const a = row.document;
  const outlines: Record<string, Outline> = { body: a.body.outline!.outline };
  for (const c of a.cavities) for (const p of c.levels) outlines[`${c.id}/${p.id}`] = toBody(a, c.frame, p.outline.outline);
  for (const p of a.plates) {
    outlines[p.id] = toBody(a, p.frame, p.outline.outline);
    for (const o of p.openings) outlines[o.id] = toBody(a, p.frame, o.outline.outline);
  }
  for (const [id, outline] of Object.entries(outlines)) {
    const drawn = await page.locator(`rn-plan-view path[data-id="${id}"]`).evaluate((el) => {
      const path = el as unknown as SVGPathElement;
      const length = path.getTotalLength();
      return { length, points: Array.from({ length: 200 }, (_, i) => path.getPointAtLength((i / 200) * length)).map((p) => ({ x: p.x, y: p.y })) };
    });
    const segments = segmentsOf(outline);
    for (const p of drawn.points) expect(Math.min(...segments.map((s) => pointToSegment(p, s).distance)), id).toBeLessThan(0.01);
    const perimeter = segments.reduce((s, x) => s + (x.kind === 'line' ? Math.hypot(x.to.x - x.from.x, x.to.y - x.from.y) : Math.abs(x.sweep) * x.radius), 0);
    expect(Math.abs(drawn.length - perimeter), id).toBeLessThan(0.1);
  }
});

test('the printed map is to the scale it tells', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/anatomy`);
  await expect(page.locator('[data-feature="plate"]')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const paper = page.locator('.paper');
  await expect(paper).toBeVisible();
  const scale = Number(/Scale 1 : (\d+)/.exec(await paper.innerText())?.[1]);
  const row = (await workshop.db('revisions').where({ instrument: FIRST }).first()) as { document: Anatomy };
  const body = bounds([row.document.body.outline!.outline]);
  const mm = (px: number): number => (px * 25.4) / 96;
  const drawn = await paper.locator('path.body').evaluate((el) => {
    const path = el as unknown as SVGPathElement;
    const [box, map] = [path.getBBox(), path.getScreenCTM()!];
    return { width: box.width * map.a, height: box.height * map.d };
  });
  expect(Math.abs(mm(drawn.width) * scale - (body.maxX - body.minX))).toBeLessThan(0.1);
  expect(Math.abs(mm(drawn.height) * scale - (body.maxY - body.minY))).toBeLessThan(0.1);
  const rule = (await paper.locator('.rule').boundingBox())!;
  expect(Math.abs(mm(rule.width) - 100)).toBeLessThan(0.7);
  const pdf = await page.pdf({ format: 'A4', printBackground: false });
  expect(pdf.length).toBeGreaterThan(5000);
});
