// What the workshop keeps beside instruments: every page once with what is in it, and with an error in its form.
import { expectAccessible } from './axe.js';
import { BASS } from './scenes.js';
import { expect, test } from './workshop.js';

test('the pages of the shop hold their lists, say what is wrong beside a form, and lose nothing that was typed', async ({ page, workshop }) => {
  const said = page.getByRole('alert');
  for (const [path, button, error] of [
    ['drawers', 'Add item', 'Type a length'],
    ['tools', 'Add tool', 'A tool needs a name'],
    ['people', 'Add person', 'Type a name'],
  ] as const) {
    await page.goto(`${workshop.url}/shop/${path}`);
    await page.getByRole('row').nth(1).waitFor();
    await page.getByRole('button', { name: button }).click();
    await expect(said.filter({ hasText: error }).first()).toBeVisible();
    await expectAccessible(page, `${path} with an error`);
  }
  await page.goto(`${workshop.url}/shop/tools`);
  await page.getByLabel('Name').fill('Brad-point 8');
  await page.getByLabel('Kind').selectOption({ label: 'Drill' });
  await page.getByRole('textbox', { name: 'Diameter' }).fill('8//2');
  await page.getByRole('button', { name: 'Add tool' }).click();
  await expect(said.first()).toContainText('Not a length');
  await expect(page.getByLabel('Name')).toHaveValue('Brad-point 8');
  // tapped over to inches, what was typed well stays the same length
  await page.getByRole('textbox', { name: 'Diameter' }).fill('9.525');
  await page.getByRole('radio', { name: '1/64 in' }).click();
  await expect(page.getByRole('textbox', { name: 'Diameter' })).toHaveValue('0.3750in');
  await page.getByRole('button', { name: 'Add tool' }).click();
  await expect(page.getByRole('row', { name: /Brad-point 8/ })).toContainText('9.5');

  await page.goto(`${workshop.url}/shop/settings`);
  await page.locator('[data-setting=minFloor] input').fill('-4');
  await expect(said.first()).toBeVisible();
  await expectAccessible(page, 'settings with an error');
  await page.goto(`${workshop.url}/shop`);
  await page.getByRole('row').nth(1).waitFor();
  await expectAccessible(page, 'the buy list');
  await page.goto(`${workshop.url}/i/${BASS}/survey/compare`);
  await page.getByRole('row').nth(1).waitFor();
  await expectAccessible(page, 'two surveys compared');
});
