// One current picture of each main view, 1280 × 800, from the demo data: docs/screenshots.
import { BASS, chooseReroute, clearToCut, LEFT, readEverything, SANDERLING, stage, TWO_PICKUPS, workUntil } from './scenes.js';
import { test } from './workshop.js';

const folder = new URL('../../docs/screenshots/', import.meta.url).pathname;

test('pictures of the main views', async ({ page, workshop }) => {
  test.setTimeout(300_000);
  const shot = async (name: string): Promise<void> => {
    await page.mouse.move(640, 5);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `${folder}${name}.png`, animations: 'disabled' });
  };
  const { url } = workshop;
  await page.goto(`${url}/instruments`);
  await page.getByRole('link', { name: /Tern no\. 14/ }).waitFor();
  await shot('instruments');
  await page.goto(`${url}/i/${BASS}/anatomy`);
  await page.locator('[data-feature="wrong route"]').click();
  await shot('anatomy');
  await page.goto(`${url}/i/${BASS}/about`);
  await page.getByRole('heading', { name: 'Open a job' }).waitFor();
  await shot('about');
  await page.goto(`${url}/i/${LEFT}/survey/inspection`);
  await page.locator('[data-step=action]').click();
  await page.locator('[data-cell]').nth(2).fill('1.5');
  await shot('inspection');
  await page.goto(`${url}/i/${LEFT}/survey/findings`);
  await page.locator('[data-finding]').first().waitFor();
  await shot('findings');
  await page.goto(`${url}/i/${BASS}/survey/compare`);
  await page.locator('canvas').first().waitFor();
  await shot('compare');
  await page.goto(`${url}/i/${TWO_PICKUPS}/wire`);
  await page.getByRole('button', { name: 'Simulated meter' }).click();
  await page.getByRole('combobox', { name: 'Circuit on the bench' }).click();
  await page.getByRole('option', { name: /Coil open: Bridge pickup, first/ }).click();
  const inBody = page.locator('table').nth(2);
  for (const position of [1, 2, 3]) {
    const row = inBody.getByRole('row', { name: new RegExp(`^Position ${position} `) }).first();
    await row.getByRole('button', { name: 'Probe' }).click();
    await row.getByText('simulated meter').waitFor();
  }
  await inBody.scrollIntoViewIfNeeded();
  await inBody.evaluate((t) => {
    t.scrollIntoView({ block: 'start' });
  });
  await shot('test-sheet');
  await page.goto(`${url}/i/${TWO_PICKUPS}/wire/circuit`);
  await page.getByRole('button', { name: /^Selector, C: / }).click();
  await shot('tracing');
  await page.goto(`${url}/i/${TWO_PICKUPS}/wire/wishes`);
  await page.getByRole('button', { name: 'Begin with what is wired' }).click();
  await page
    .getByRole('checkbox', { name: /^Bridge pickup volume|Volume, bridge pickup/ })
    .first()
    .click();
  await page.getByRole('combobox', { name: /, pulled$/ }).click();
  await page.getByRole('option', { name: /Bridge pickup: split, second/ }).click();
  await page.getByRole('button', { name: 'Build the circuit' }).click();
  await page
    .getByText(/joints through/)
    .first()
    .waitFor();
  await shot('wishes');
  await page.goto(`${url}/i/${TWO_PICKUPS}/wire/response`);
  await page.getByRole('combobox', { name: 'Comparison' }).click();
  await page.getByRole('option', { name: /250/ }).click();
  await shot('response');
  await stage(page, url, 'fit');
  await page.locator('[data-remedy^="reroute"]').waitFor();
  await shot('fit');
  await page.goto(`${url}/i/${SANDERLING}/fit`);
  await page.locator('[data-choice="volume hole"]').click();
  await page.locator('[data-verdict^="bushingInHole"]').first().click();
  await page.getByRole('button', { name: 'Close-up' }).click();
  await shot('clash');
  await page.goto(`${url}/shelf`);
  await page
    .getByRole('link', { name: /humbucker/i })
    .first()
    .click();
  await page.locator('rn-part-facts').waitFor();
  await shot('shelf');
  await page.goto(`${url}/shop`);
  await page.getByRole('table').first().waitFor();
  await shot('buy');
  await chooseReroute(page, url);
  await stage(page, url, 'survey');
  await page.locator('[data-target="bodyThickness|body|"]').click();
  await shot('survey');
  await readEverything(page, url);
  await stage(page, url, 'cut');
  await page.getByRole('tab', { name: 'Cutting plan' }).click();
  await page.getByText('Template off').waitFor();
  await shot('cut');
  await stage(page, url, 'order');
  await page.getByRole('button', { name: 'Later: Trace the mounted plate' }).click();
  await page
    .getByText(/should come before/)
    .first()
    .waitFor();
  await shot('order');
  await page.getByRole('button', { name: 'Restore the rules’ order' }).click();
  await page.getByText('No rule is broken').waitFor();
  await clearToCut(page, url);
  await workUntil(page, (crumbs) => crumbs.includes('in passes') && crumbs.includes('step 7 '));
  await shot('bench');
  await workUntil(page, () => false);
  await stage(page, url, 'record');
  await shot('record');
});
