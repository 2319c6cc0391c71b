// A picture is true: outlines read back from the drawn SVG in mm are the anatomy's within 0.01.
import type { Anatomy } from '@rinnovo/core/instrument';
import { toBody } from '@rinnovo/core/instrument';
import { pointToSegment, segmentsOf, type Outline } from '@rinnovo/core/shape';
import { expect, FIRST, test } from './workshop.js';

test('the map is to scale', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await expect(page.locator('rn-plan-view path.body')).toBeVisible();
  const row = (await workshop.db('anatomy_revisions').where({ instrument: FIRST }).first()) as { document: Anatomy };
  const a = row.document;
  const outlines: Record<string, Outline> = { body: a.body.outline!.outline };
  for (const c of a.cavities) for (const p of c.pockets) outlines[`${c.id}/${p.id}`] = toBody(a, c.frame, p.outline.outline);
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
