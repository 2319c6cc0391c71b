// A neck screwed on over a shim: plate, bore, heel and shim are told, and the screw's thread and point are judged through all of them. Worked by hand: a screw of 45
// through a plate of 3 and 44 − 16 = 28 of body is 14 in a heel of 26 with 12 under its point; a shim of 0.66 takes as much off the thread.
import type { Page } from '@playwright/test';
import { expectAccessible } from './axe.js';
import { readTwice, SANDERLING } from './scenes.js';
import { expect, test } from './workshop.js';

async function add(page: Page, kind: string): Promise<void> {
  await page.locator('rn-feature-panel mat-select').first().click();
  await page.getByRole('option', { name: kind, exact: true }).click();
  await page.getByRole('button', { name: 'Add feature', exact: true }).click();
}

async function build(page: Page, sizes: Readonly<Record<string, string>>): Promise<void> {
  await page.getByRole('tab', { name: 'Build' }).click();
  for (const [key, text] of Object.entries(sizes)) await page.locator(`[data-field="${key}"] input`).fill(text);
  await page.locator('rn-build-form').getByRole('button', { name: 'Apply' }).click();
}

test('a neck is screwed on over a shim: free in the body, its thread in the heel, wood under its point', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${SANDERLING}/anatomy`);
  // body, heel: what is no length is said where it was typed, and nothing is lost
  await build(page, { bodyThickness: '44', heelThickness: '26..5' });
  await expect(page.locator('[data-field=heelThickness]').getByRole('alert')).toContainText('Not a length');
  await expect(page.locator('[data-field=bodyThickness] input')).toHaveValue('44');
  await build(page, { heelThickness: '26' });
  await expect(page.locator('[data-field=heelThickness] input')).toHaveValue('26');

  // on the back a plate over the pocket with one screw place, and the bore below it
  await page.getByRole('radio', { name: 'Back' }).click();
  await page.getByRole('tab', { name: 'Features' }).click();
  await add(page, 'Plate');
  await page.getByRole('textbox', { name: 'Name' }).fill('Neck plate');
  await page.locator('[data-field="x"] input').fill('0');
  await page.locator('[data-field="y"] input').fill('35');
  await page.getByRole('button', { name: 'Apply', exact: true }).click();
  await page.getByRole('button', { name: 'Add a screw place' }).click();
  const screw = page.locator('[data-screw="1"]');
  await screw.getByRole('combobox', { name: 'Gauge' }).click();
  await page.getByRole('option', { name: /^#8/ }).click();
  await add(page, 'Hole');
  await page.getByRole('textbox', { name: 'Name' }).fill('Neck screw bore');
  await page.locator('[data-field="x"] input').fill('0');
  await page.locator('[data-field="y"] input').fill('35');
  await page.locator('[data-field="size"] input').fill('4.9');
  await page.getByRole('button', { name: 'Apply', exact: true }).click();
  await expect(page.locator('.bar [role=status]')).toContainText('revision');

  // the plate's thickness and the pocket's depth are read
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Survey' }).click();
  const plate = page.locator('[data-target^="plateThickness|"]').filter({ hasText: 'Neck plate' });
  await readTwice(page, (await plate.getAttribute('data-target')) ?? '', '3');
  const pocket = page.locator('[data-target^="levelDepth|"]').filter({ hasText: 'Neck pocket' });
  await readTwice(page, (await pocket.getAttribute('data-target')) ?? '', '16');

  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Fit' }).click();
  await page.getByRole('button', { name: 'Add place' }).click();
  await page.getByLabel('Place', { exact: true }).click();
  await page.getByRole('option', { name: /Neck plate, screw 1/ }).click();
  await page.getByLabel('Part to fit').click();
  await page.getByRole('option', { name: /Neck screw #8 × 45/ }).click();
  await page.getByRole('button', { name: 'Check the fit' }).click();
  const verdicts = page.getByRole('region', { name: 'Verdicts' });
  const of = (id: string) => verdicts.locator(`[data-verdict^="${id}"]`);
  await expect(of('screwHolds')).toContainText('14.00 mm');
  await expect(of('screwPoint')).toContainText('12.00 mm');
  // #8 is 0.060 + 8 · 0.013 in = 4.166: 4.9 lets it pass by 0.73
  await expect(of('screwPasses').filter({ hasText: 'body' })).toContainText('0.73 mm');
  await expect(verdicts.locator('li.clashes')).toHaveCount(0);
  await expectAccessible(page, 'a neck screw in Fit');
  // no way out saws a screw that holds by what is wanted
  await expect(page.locator('[data-remedy^="trim"]')).toHaveCount(0);

  // a shim of 0.026 in, typed in inches, takes as much off the thread and gives it to the point
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Anatomy' }).click();
  await build(page, { shimThickness: '.026in' });
  await expect(page.locator('.bar [role=status]')).toContainText('revision');
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Fit' }).click();
  await page.locator('rn-place-list [data-choice^="plate "]').click();
  await expect(of('screwHolds')).toContainText('13.34 mm');
  await expect(of('screwPoint')).toContainText('12.66 mm');
  await of('screwHolds').click();
  await expect(page.locator('rn-working-view').first()).toContainText('shim');

  const work = page.locator('[data-remedy^="asItIs"]');
  await work.getByRole('button', { name: 'Choose option …' }).click();
  await work.getByLabel('Reason').fill('fourteen in the heel is what it had');
  await work.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.locator('rn-decision-made')).toContainText('fourteen in the heel');
});
