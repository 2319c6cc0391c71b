// The whole path by keyboard alone: not one click, not one touch.
import type { Locator, Page } from '@playwright/test';
import { stepAfter } from './scenes.js';
import { expect, FIRST, test } from './workshop.js';

/** Presses Tab (or Shift Tab) until the wanted control has the focus, as a person would. */
async function tabTo(page: Page, target: Locator, back = false): Promise<void> {
  await expect(target).toBeVisible();
  for (let i = 0; i < 160; i++) {
    if (await target.evaluate((el) => el === document.activeElement || el.contains(document.activeElement))) return;
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab');
  }
  throw new Error(`the keyboard does not reach ${String(target)}`);
}

async function press(page: Page, target: Locator): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press('Enter');
}

async function type(page: Page, target: Locator, text: string): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press('Control+A');
  await page.keyboard.type(text);
}

async function go(page: Page, key: string, arrived: Locator): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('g');
  await page.keyboard.press(key);
  await expect(arrived).toBeVisible();
}

const READINGS: readonly (readonly [string, string])[] = [
  ['bodyThickness|body|', '1 5/8 + 0.225mm'],
  ['levelDepth|back cavity|floor', '12'],
  ['levelDepth|neck route|old', '18'],
  ['checkWidthAcross|plate|', '105'],
  ['checkWidthAlong|plate|', '46,5'],
  ['checkWidthAcross|plate|window', '70'],
  ['checkWidthAlong|plate|window', '39'],
];

test('the whole path by keyboard alone', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/instruments`);
  await expect(page.getByRole('link', { name: /Tern no\. 14/ })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Go to Survey');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await press(page, page.getByRole('link', { name: /Tern no\. 14/ }));
  await expect(page.locator('rn-rail')).toBeVisible();

  await go(page, 'f', page.getByRole('region', { name: 'Verdicts' }).getByText('5 clashes'));
  const reroute = page.locator('[data-remedy^="reroute"]');
  await press(page, reroute.getByRole('button', { name: 'Choose option …' }));
  await type(page, reroute.getByLabel('Reason'), 'what she asked for');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Decided' })).toBeVisible();

  // Arrow keys move the route by 0.1 mm, with Shift by 1 mm, and back.
  await go(page, 'c', page.getByLabel('Centre, offset across'));
  await tabTo(page, page.locator('rn-plan-view svg'));
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Centre, offset along')).toHaveValue('103.10');
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Centre, offset along')).toHaveValue('102.00');
  await expect(page.locator('.saving')).toHaveText('saved');

  await go(page, 's', page.getByText(/\/ 7/));
  for (const [key, value] of READINGS) {
    const row = page.locator(`[data-target="${key}"]`);
    const open = async (): Promise<void> => {
      if ((await row.getAttribute('aria-expanded')) !== 'true') await press(page, row);
    };
    await open();
    const entry = page.locator('rn-reading-entry');
    if ((await row.innerText()).includes('not read')) {
      await type(page, entry.getByLabel('Reading'), value);
      await page.keyboard.press('Enter');
      await expect(row).toContainText('read once');
      await open();
    }
    const second = entry.locator('rn-second-reading');
    const again = entry.getByRole('button', { name: 'Take a second reading' });
    await second.or(again).first().waitFor();
    if (await again.isVisible()) await press(page, again);
    await tabTo(page, second.getByRole('checkbox'));
    await page.keyboard.press('Space');
    await type(page, second.getByLabel('Second reading'), value);
    await page.keyboard.press('Enter');
    await expect(row).toContainText('two readings agree');
  }
  await expect(page.getByText('7 / 7')).toBeVisible();

  await go(page, 'c', page.getByLabel('Centre, offset across'));
  await press(page, page.getByRole('tab', { name: 'Clear to cut' }));
  await type(page, page.getByLabel('Owner’s answer'), 'Yes, at that price');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The owner agreed')).toBeVisible();

  await go(page, 'o', page.getByText('No rule is broken'));
  await press(page, page.getByRole('button', { name: 'Later: Trace the mounted plate' }));
  await expect(page.getByText(/should come before/).first()).toBeVisible();
  await press(page, page.getByRole('button', { name: 'Restore the rules’ order' }));
  await expect(page.getByText('No rule is broken')).toBeVisible();

  await go(page, 'b', page.locator('.crumbs'));
  for (let i = 0; i < 60; i++) {
    if (await page.getByText('All work is done').isVisible()) break;
    if (await page.locator('rn-gate-panel').isVisible()) await clearByKeys(page);
    const crumbs = await page.locator('.crumbs').innerText();
    const asks = page.getByLabel(/Depth read|Smallest gap read|Resistance read/);
    if (await asks.isVisible()) {
      const expected = await page.locator('.ask .huge').innerText();
      await type(page, asks, expected);
      await page.keyboard.press('Enter');
    } else {
      await press(page, page.getByRole('button', { name: 'Done', exact: true }));
    }
    await stepAfter(page, crumbs);
  }
  await go(page, 'r', page.getByText('Refit Workshop slim single-coil'));

  const left = (await workshop.db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as {
    document: { positions: { part: string }[] };
  };
  expect(left.document.positions[0]!.part).toBe('00000000-0000-4000-8000-000000000031');
  const readings = (await workshop.db('readings').where({ instrument: FIRST, blind: true })) as { raw: string; value: number }[];
  const thickness = readings.find((x) => x.raw.startsWith('1 5/8'))!;
  expect(thickness.value).toBeCloseTo(1.625 * 25.4 + 0.225, 9);
});

/** What is asked on the bench before wood is cut, without the mouse. */
async function clearByKeys(page: Page): Promise<void> {
  const fields = page.getByLabel('Reason to accept');
  await expect(fields.first()).toBeVisible();
  for (let i = 0; i < (await fields.count()); i++) await type(page, fields.nth(i), 'it holds');
  await type(page, page.getByLabel('Width across on the print'), '88');
  await type(page, page.getByLabel('Length along on the print'), '40.5');
  for (const box of await page.locator('rn-gate-panel').getByRole('checkbox').all()) {
    await tabTo(page, box);
    await page.keyboard.press('Space');
  }
  await tabTo(page, page.getByRole('button', { name: 'Clear to cut' }), true);
  await page.keyboard.press('Enter');
  await expect(page.locator('.step .text').first()).toBeVisible();
}
