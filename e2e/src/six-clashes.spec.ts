// A job in which hardly anything fits: every clash is seen, worked through and decided on the screen; the work and the reasons stay.
import type { Locator, Page } from '@playwright/test';
import { SANDERLING } from './scenes.js';
import { expect, test } from './workshop.js';
import { expectAccessible } from './axe.js';

async function look(page: Page, place: string): Promise<void> {
  await page.locator(`[data-choice="${place}"]`).click();
  await expect(page.locator(`[data-choice="${place}"]`)).toHaveAttribute('aria-current', 'true');
}

function remedy(page: Page, start: string): Locator {
  return page.locator(`[data-remedy^="${start}"]`).first();
}

async function decide(page: Page, place: string, start: string, reason: string): Promise<void> {
  await look(page, place);
  const option = remedy(page, start);
  await option.getByRole('button', { name: 'Choose option …' }).click();
  await option.getByLabel('Reason').fill(reason);
  await option.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.locator('rn-decision-made')).toContainText(reason);
}

test('a job with many clashes is resolved place by place, and says in the end why', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${SANDERLING}/fit`);
  const verdicts = page.getByRole('region', { name: 'Verdicts' });
  await expect(page.locator('rn-place-list li.clashes')).toHaveCount(8);
  await expectAccessible(page, 'Fit with eight places');

  await look(page, 'volume hole');
  await expect(verdicts.locator('[data-verdict^="bushingInHole"]')).toContainText('−1.40 mm');
  await expect(remedy(page, 'openHole')).toContainText('Enlarge the hole to 9.7 mm');
  await expect(remedy(page, 'openHole')).toContainText('First scratch the finish back');
  // no reason, no decision
  await remedy(page, 'openHole').getByRole('button', { name: 'Choose option …' }).click();
  await remedy(page, 'openHole').getByRole('button', { name: 'Choose this option' }).click();
  await expect(remedy(page, 'openHole').getByRole('alert')).toContainText('Type a reason');
  await remedy(page, 'openHole').getByRole('button', { name: 'Cancel' }).click();

  await decide(page, 'volume hole', 'openHole', 'hidden under the washer');
  await decide(page, 'tone hole', 'keep', 'the old one is silent and good');
  await decide(page, 'control cover screw 1', 'anotherPart/00000000-0000-4000-8000-000000000528', 'two dozen of them are in the drawer');
  await decide(page, 'switch slot', 'anotherPart', 'the boxed one is shallow enough');
  await decide(page, 'strap hole', 'plugAndRedrill', 'stripped, and the dowel is on the rack');
  await decide(page, 'neck pickup', 'fillAndReroute', 'the old route is in sight');
  // as it is it clashes: that is said, and taken all the same with a reason
  await look(page, 'jack hole');
  await expect(remedy(page, 'asItIs')).toContainText('one clash remains');
  await decide(page, 'jack hole', 'asItIs', 'the bore is deepened by hand, she only uses short plugs');
  await decide(page, 'tuner 1', 'keep', 'old screw holes would show');
  await expect(page.locator('rn-place-list')).toContainText('decided');

  await page.goto(`${workshop.url}/i/${SANDERLING}/order`);
  for (const work of ['Enlarge the hole', 'Plug the hole', 'Fill the old route', 'Route to the template, in passes', 'Fit the part'])
    await expect(page.getByText(work).first()).toBeVisible();

  await page.goto(`${workshop.url}/i/${SANDERLING}/fit`);
  await look(page, 'jack hole');
  await expect(page.locator('rn-decision-made')).toContainText('she only uses short plugs');
  await expect(page.locator('rn-decision-made')).toContainText('The options at the time');
  // what has not begun can be taken back
  await page.getByRole('button', { name: 'Undo decision' }).click();
  await expect(remedy(page, 'asItIs')).toBeVisible();
  expect(await workshop.db('decisions').whereNull('undone_at').count('* as n').first()).toEqual({ n: '7' });
});

test('a part is begun, measured, counted and brought in as a table', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/shelf`);
  await expectAccessible(page, 'the part shelf');
  await page.getByRole('button', { name: 'New part' }).click();
  await page.getByRole('menuitem', { name: 'Pots' }).click();
  await page.getByRole('menuitem', { name: 'Pot', exact: true }).click();
  await expect(page.getByText('Measure them before you cut')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Pot, found in a drawer');
  await page.locator('[data-size="bushing"] input').fill('900');
  await page.getByRole('button', { name: 'Add part' }).click();
  await expect(page.locator('[data-size="bushing"]').getByRole('alert')).toContainText('out of range');
  await page.locator('[data-size="bushing"] input').fill('3/8');
  await expectAccessible(page, 'a part with a mistake mended');
  await page.getByRole('button', { name: 'Add part' }).click();
  await expect(page.getByRole('heading', { name: 'Pot, found in a drawer' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Bushing/ })).toContainText('3/8 in');
  await page.getByLabel('In stock').fill('3');
  await page.getByRole('button', { name: 'Count' }).click();
  await expect(page.getByRole('link', { name: /Pot, found in a drawer/ })).toContainText('3');

  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByRole('menuitem', { name: 'Import parts from CSV …' }).click();
  const csv = "kind,name,bushing,note\npot,From a table,9.4 ±0.05 (calliper),'=1+1\nkazoo,Odd,,\n";
  await page.getByLabel(/A CSV file with at least/).setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByRole('dialog')).toContainText('Line 3, kind: ‘kazoo’ is not a kind of part.');
  await page.getByRole('button', { name: 'Import 1 part' }).click();
  await page.getByRole('link', { name: /From a table/ }).click();
  await expect(page.getByRole('row', { name: /Note/ })).toContainText('=1+1');
});
