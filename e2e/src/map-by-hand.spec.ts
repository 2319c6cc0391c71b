// The map by hand: names apart, a handle pulled onto a line, edges clicked, an outline kept in the drawer and used on another instrument.
import type { Anatomy } from '@rinnovo/core/instrument';
import { boundsOf, featureOf } from '@rinnovo/core/instrument';
import { cleanSvg } from '@rinnovo/core/format';
import { expectAccessible } from './axe.js';
import { expect, FIRST, SECOND, test } from './workshop.js';

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
const apart = (a: Box, b: Box): boolean =>
  a.x + a.width <= b.x + 0.5 || b.x + b.width <= a.x + 0.5 || a.y + a.height <= b.y + 0.5 || b.y + b.height <= a.y + 0.5;

test('names on the map never lie on one another, near and far, on every instrument', async ({ page, workshop }) => {
  const rows = (await workshop.db('instruments').where({ archived: false }).select('id')) as { id: string }[];
  for (const { id } of rows) {
    await page.goto(`${workshop.url}/i/${id}/anatomy`);
    await page.locator('rn-plan-view text.name').first().waitFor();
    for (const way of ['Fit', 'With neck', 'Zoom in', 'Zoom in']) {
      await page.getByRole('button', { name: way, exact: true }).first().click();
      const boxes = (await page.locator('section.left > rn-plan-view.no-print text.name').evaluateAll((names) =>
        names.map((n) => {
          const { x, y, width, height } = (n as unknown as SVGTextElement).getBBox();
          const map = (n as unknown as SVGTextElement).getCTM()!;
          return { x: x * map.a + map.e, y: y * map.d + map.f, width: width * Math.abs(map.a), height: height * Math.abs(map.d) };
        }),
      )) as Box[];
      expect(boxes.length, `${id} ${way}`).toBeGreaterThan(0);
      for (const [i, a] of boxes.entries()) for (const b of boxes.slice(i + 1)) expect(apart(a, b), `${id} ${way} ${JSON.stringify([a, b])}`).toBe(true);
    }
  }
});

test('a handle is pulled onto a line, undone, and two edges are clicked to measure between', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/anatomy`);
  await page.locator('[data-feature="neck route"]').click();
  const latest = async (): Promise<Anatomy> =>
    ((await workshop.db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as { document: Anatomy }).document;
  const route = (a: Anatomy) => boundsOf(a, featureOf(a, 'neck route')!);
  const before = route(await latest());
  const screen = async (x: number, y: number): Promise<{ x: number; y: number }> =>
    page.locator('section.left > rn-plan-view.no-print svg:not(.names)').evaluate(
      (svg, p) => {
        const q = new DOMPoint(p.x, p.y).matrixTransform((svg as unknown as SVGSVGElement).getScreenCTM()!);
        return { x: q.x, y: q.y };
      },
      { x, y },
    );
  // its bridge side is brought near the plate's bridge edge, 125.5, and meets it
  const from = await screen((before.minX + before.maxX) / 2, before.maxY);
  const to = await screen((before.minX + before.maxX) / 2, 125);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2);
  await page.mouse.move(to.x, to.y);
  await expect(page.locator('rn-plan-view .guide')).toHaveCount(1);
  await page.mouse.up();
  await expect(page.locator('.bar [role=status]')).toHaveText('revision 2');
  const after = route(await latest());
  expect(after.maxY).toBeCloseTo(125.5, 6);
  expect(after.minY).toBeCloseTo(before.minY, 6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('.bar [role=status]')).toHaveText('revision 3');
  expect(route(await latest()).maxY).toBeCloseTo(before.maxY, 6);

  await page.getByRole('tab', { name: 'Distances' }).click();
  const level = boundsOf(await latest(), featureOf(await latest(), 'neck pocket')!);
  const first = await screen(0, level.maxY - 2);
  const second = await screen(before.minX + 2, (before.minY + before.maxY) / 2 - 10);
  await page.mouse.click(first.x, first.y);
  await page.mouse.click(second.x, second.y);
  await expect(page.locator('rn-plan-view .edge')).toHaveCount(2);
  await page.locator('rn-distance-panel rn-length-field input').fill('16');
  await page.getByRole('button', { name: 'Save distance' }).click();
  await expect(page.locator('rn-distance-panel li')).toHaveCount(1);
  await expectAccessible(page, 'distances by hand');
});

test('an outline goes into the drawer with its drawing, onto another instrument, away and back', async ({ page, workshop }) => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="60mm" viewBox="0 0 120 60"><script>window.bad = true</script><rect id="window" width="64" height="33" rx="3"/></svg>`;
  await page.goto(`${workshop.url}/i/${FIRST}/anatomy`);
  await page.locator('[data-feature="plate"]').click();
  await page.locator('[data-opening="window"]').click();
  await page.locator('rn-opening-form').getByRole('button', { name: 'Outline …' }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'slim window.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await expect(page.getByText('64.00 mm × 33.00 mm (')).toBeVisible();
  await expect(page.getByLabel('Name in the drawer')).toHaveValue('slim window');
  await page.getByRole('button', { name: 'Use this size' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.locator('[data-opening="window"]')).toContainText('64.0 mm × 33.0 mm');
  const [row] = (await workshop.db('outlines').where({ name: 'slim window' })) as { source_text: string }[];
  expect(row!.source_text).toBe(cleanSvg(svg));
  expect(row!.source_text).not.toContain('script');

  await page.goto(`${workshop.url}/i/${SECOND}/anatomy`);
  await page.locator('[data-feature="plate"]').click();
  await page.locator('rn-feature-form > form').getByRole('button', { name: 'Outline …' }).click();
  await page.getByRole('tab', { name: 'From the drawer' }).click();
  await page.getByRole('radio', { name: /slim window/ }).click();
  await expectAccessible(page, 'the drawer');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: /Drawing/ }).click()]);
  expect(download.suggestedFilename()).toBe('slim window.svg');
  await page.getByRole('button', { name: 'Archive slim window' }).click();
  await expect(page.getByRole('radio', { name: /slim window/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Restore outline' }).click();
  await page.getByRole('radio', { name: /slim window/ }).click();
  await page.getByRole('button', { name: 'Use this outline' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.locator('[data-field="width"] input').first()).toHaveValue('64');
});
