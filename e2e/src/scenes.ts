// What the pictures and the benchmarks do in the real interface: the same short ways through the demo.
import { expect, type Page } from '@playwright/test';
import { FIRST } from './workshop.js';

/** The demo's bass. */
export const BASS = '00000000-0000-4000-8000-000000000013';
export const LEFT = '00000000-0000-4000-8000-000000000014';
/** Two unlike pickups, its circuit traced. */
export const TWO_PICKUPS = '00000000-0000-4000-8000-000000000016';
export const SANDERLING = '00000000-0000-4000-8000-000000000018';

export const READINGS: readonly (readonly [string, string])[] = [
  ['bodyThickness|body|', '41.5'],
  ['levelDepth|back cavity|floor', '12'],
  ['levelDepth|neck route|old', '18'],
  ['checkWidthAcross|plate|', '105'],
  ['checkWidthAlong|plate|', '46.5'],
  ['checkWidthAcross|plate|window', '70'],
  ['checkWidthAlong|plate|window', '39'],
];

export async function stage(page: Page, url: string, path: string): Promise<void> {
  await page.goto(`${url}/i/${FIRST}/${path}`);
  await page.locator('.saving').filter({ hasText: 'saved' }).waitFor();
}

export async function chooseReroute(page: Page, url: string): Promise<void> {
  await stage(page, url, 'fit');
  const reroute = page.locator('[data-remedy^="reroute"]');
  await reroute.getByRole('button', { name: 'Choose option …' }).click();
  await reroute.getByLabel('Reason').fill('The full sound she asked for, and the plate hides it.');
  await reroute.getByRole('button', { name: 'Choose this option' }).click();
  await page.getByRole('heading', { name: 'Decided' }).waitFor();
}

export async function readEverything(page: Page, url: string): Promise<void> {
  await stage(page, url, 'survey');
  for (const [key, value] of READINGS) await readTwice(page, key, value);
}

export async function readTwice(page: Page, key: string, value: string): Promise<void> {
  const row = page.locator(`[data-target="${key}"]`);
  const open = async (): Promise<void> => {
    if ((await row.getAttribute('aria-expanded')) !== 'true') await row.click();
  };
  await open();
  const entry = page.locator('rn-reading-entry');
  const [keep, again] = ['Save reading', 'Take a second reading'].map((name) => entry.getByRole('button', { name }));
  const second = entry.locator('rn-second-reading');
  if (!keep || !again) return;
  await keep.or(again).or(second).first().waitFor();
  if (await keep.isVisible()) {
    await entry.getByLabel('Reading').fill(value);
    await keep.click();
    // the page goes on to the next one that is asked for
    await row.filter({ hasText: 'read once' }).waitFor();
  }
  // it goes on when the save is answered, which may be after the row was opened again: then it is opened once more
  await expect(async () => {
    await open();
    await again.or(second).first().waitFor({ timeout: 5000 });
    if (await again.isVisible()) await again.click({ timeout: 5000 });
    await second.getByRole('checkbox').check({ timeout: 5000 });
    await second.getByLabel('Second reading').fill(value, { timeout: 5000 });
  }).toPass();
  await second.getByRole('button', { name: 'Save second reading' }).click();
  await row.filter({ hasText: 'two readings agree' }).waitFor();
}

/** Does on the bench what comes before the first cut, and clears it there. */
export async function clearToCut(page: Page, url: string): Promise<void> {
  await stage(page, url, 'bench');
  await workUntil(page, () => false);
  await clearOnBench(page);
}

/** What is asked on the bench before the work at hand is cleared. */
export async function clearOnBench(page: Page): Promise<void> {
  const gate = page.locator('rn-gate-panel');
  const owner = gate.getByLabel('Owner’s answer');
  await gate.getByText('still open before the cut').waitFor();
  if (await owner.isVisible()) {
    await owner.fill('Yes, at that price');
    await gate.getByRole('button', { name: 'Save consent' }).click();
    await gate.getByText('The owner agreed').waitFor();
  }
  // rows may still come while the sums follow the last step: whoever stands at the bench answers them as they come
  const clear = gate.getByRole('button', { name: 'Clear to cut' });
  await expect(async () => {
    for (const field of await gate.getByLabel('Reason to accept').all()) await field.fill('looked at: it holds');
    await confirmAll(page);
    await expect(clear).toBeEnabled({ timeout: 2000 });
  }).toPass({ timeout: 45_000 });
  await clear.click();
  await page.locator('.step .text').first().waitFor();
}

/** Everything that a person confirms before wood is cut. */
export async function confirmAll(page: Page): Promise<void> {
  const gate = page.locator('rn-gate-panel');
  for (const box of await gate.getByRole('checkbox').all()) await box.check();
  // the route of the demo, and the traced one, is as wide as this
  if (await gate.getByLabel('Width across on the print').isVisible()) {
    await gate.getByLabel('Width across on the print').fill('88');
    await gate.getByLabel('Length along on the print').fill('40.5');
  }
}

/** Logs steps on the bench until `until` is true of the crumbs, the gate is shut, or the work is done. */
export async function workUntil(page: Page, until: (crumbs: string) => boolean): Promise<void> {
  const over = page.getByText('All work is done');
  const line = page.locator('.crumbs');
  for (let i = 0; i < 60; i++) {
    await over.or(line).first().waitFor();
    if ((await over.isVisible()) || (await page.locator('rn-gate-panel').isVisible())) return;
    const crumbs = await line.innerText();
    if (until(crumbs)) return;
    const asks = page.getByLabel(/Depth read|Smallest gap read|Resistance read/);
    if (await asks.isVisible()) await asks.fill(await page.locator('.ask .huge').innerText());
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await stepAfter(page, crumbs);
  }
}

/** Waits until the bench shows another step than that of `crumbs`, or that all work is done. */
export async function stepAfter(page: Page, crumbs: string): Promise<void> {
  const another = page.locator('.crumbs').filter({ hasNotText: crumbs });
  await page.getByText('All work is done').or(another).first().waitFor();
}
