// What each position shall do becomes a circuit for these very parts: two unlike pickups, one with four leads, a lever, one volume with a pull; what cannot be says what would do.
import { expect, type Page } from '@playwright/test';
import { TWO_PICKUPS } from './scenes.js';
import { test } from './workshop.js';

async function pick(page: Page, label: string, option: RegExp | string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('a wish is built, refused with what would do, and looked at as a circuit', async ({ page, workshop }) => {
  test.setTimeout(120_000);
  await page.goto(`${workshop.url}/i/${TWO_PICKUPS}/wire/wishes`);
  await pick(page, 'Another circuit', 'Two pickups, toggle, one volume and tone');
  await pick(page, 'Selector', 'Lever, three positions');
  await page.getByRole('checkbox', { name: 'Volume: push-pull' }).click();
  await pick(page, 'Volume, pulled', 'Bridge pickup: split, first coil stays');
  await expect(page.getByText('Bridge pickup (first coil)').first()).toBeVisible();

  // a lever of three joins one throw at a time: both pickups in its middle need its second pole
  await page.getByRole('button', { name: 'Build the circuit' }).click();
  await expect(page.getByText(/joints through Volume, Selector|joints through Selector, Volume/).first()).toBeVisible({ timeout: 30_000 });

  // a pickup of two leads cannot be split, and the rows are not lost
  await page.getByText('Pickups and their leads').click();
  await pick(page, 'Bridge pickup, leads', 'Hot and ground alone');
  await page.getByRole('button', { name: 'Build the circuit' }).click();
  await expect(page.getByText('Bridge pickup has too few leads.')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Bridge pickup: lead out both ends of each coil')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Bridge pickup (first coil)').first()).toBeVisible();
  await page.getByText('Pickups and their leads').click();
  await pick(page, 'Bridge pickup, leads', 'Both ends of each coil');

  await page.getByRole('button', { name: 'Build the circuit' }).click();
  await page.getByRole('button', { name: 'Look at it under Circuit' }).first().click({ timeout: 30_000 });
  await expect(page.getByText('Changed and not saved yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Save circuit' }).first().click();
  await expect(page.getByText('Changed and not saved yet.')).toBeHidden();
});
