// The whole path in the real interface by mouse: survey → choice → clash → remedy → cut → order → bench → record, and the database afterwards.
import type { Page } from '@playwright/test';
import { expectAccessible } from './axe.js';
import { clearOnBench, confirmAll, READINGS, readTwice, stepAfter } from './scenes.js';
import { expect, FIRST, test } from './workshop.js';

test('a chosen pickup does not fit, and ends as a recorded cavity', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/instruments`);
  await expect(page.getByRole('link', { name: /Tern no\. 14/ })).toBeVisible();
  await expectAccessible(page, 'instruments');
  await page.getByRole('link', { name: /Tern no\. 14/ }).click();
  await page.getByRole('link', { name: 'Fit' }).click();

  // The clash, with its number and its working.
  await expect(page.getByRole('region', { name: 'Verdicts' }).getByText('5 clashes')).toBeVisible();
  await page.locator('[data-verdict^="partInRoute/neck pickup/base"]').click();
  await expect(page.locator('rn-working-view')).toContainText('edge of the part');
  await expectAccessible(page, 'fit with a working open');

  // The remedy: without a reason it is refused where it was asked.
  const reroute = page.locator('[data-remedy^="reroute"]');
  await expect(reroute).toContainText('1307 mm²');
  await reroute.getByRole('button', { name: 'Choose option …' }).click();
  await reroute.getByRole('button', { name: 'Choose this option' }).click();
  await expect(reroute.getByRole('alert')).toContainText('Type a reason');
  await expectAccessible(page, 'fit with an error');
  await reroute.getByLabel('Reason').fill('what she asked for');
  await reroute.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.getByRole('heading', { name: 'Decided' })).toBeVisible();

  // Cut: drag and put it back; verdicts follow.
  await page.getByRole('link', { name: 'Open Cut' }).click();
  await expect(page.getByLabel('Centre, offset across')).toBeVisible();
  await expect(page.locator('[data-verdict^="hiddenEdge/neck route/planned"]')).toContainText('1.12 mm');
  const layer = page.locator('[data-moving] path').first();
  const box = (await layer.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 12 });
  await page.mouse.up();
  await expect(page.locator('[data-verdict^="hiddenEdge/neck route/planned"]')).toContainText('clashes');
  await page.getByLabel('Centre, offset across').fill('0');
  await page.getByLabel('Centre, offset along').fill('102');
  await page.getByRole('button', { name: 'Move the route' }).click();
  await expect(page.locator('[data-verdict^="hiddenEdge/neck route/planned"]')).toContainText('1.12 mm');
  await page.getByRole('tab', { name: 'Cutting plan' }).click();
  await expect(page.locator('rn-cutting-table')).toContainText('Template off');
  await expectAccessible(page, 'cutting plan');
  await page.getByRole('tab', { name: 'Clear to cut' }).click();
  await expect(page.locator('rn-gate-panel')).toContainText('still open');
  await expect(page.getByRole('button', { name: 'Clear to cut' })).toBeDisabled();
  await expectAccessible(page, 'gate');

  // Survey: two blind readings of everything the cut rests on; wrong input is said beside the field.
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Survey' }).click();
  await page.locator('[data-target="checkWidthAcross|plate|"]').click();
  await page.getByRole('textbox', { name: 'Reading' }).fill('abc');
  await expect(page.getByRole('alert')).toContainText('Not a length');
  await expectAccessible(page, 'survey with an error');
  await page.locator('[data-target="checkWidthAcross|plate|"]').click();
  await page.locator('[data-target="bodyThickness|body|"]').click();
  const again = page.getByRole('button', { name: 'Take a second reading' });
  const second = page.locator('rn-second-reading');
  await second.or(again).first().waitFor();
  if (await again.isVisible()) await again.click();
  await expect(second).toBeVisible();
  await expectAccessible(page, 'the second reading');
  await second.getByRole('button', { name: 'Cancel' }).click();
  await expect(second).toBeHidden();
  await page.locator('[data-target="bodyThickness|body|"]').click();
  for (const [key, value] of READINGS) await readTwice(page, key, value);
  await expect(page.getByText('7 / 7')).toBeVisible();
  await expectAccessible(page, 'survey');

  // Clear to cut: the owner is asked, the tools are looked up, and what comes before the cut is not done yet.
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Cut' }).click();
  await page.getByRole('tab', { name: 'Clear to cut' }).click();
  await expect(page.getByLabel('Reason to accept').first()).toBeVisible();
  await page.getByRole('button', { name: 'Save consent' }).click();
  await expect(page.getByRole('alert')).toContainText('Type the owner’s answer');
  await expectAccessible(page, 'asking the owner');
  await page.getByLabel('Owner’s answer').fill('Yes, at that price');
  await page.getByRole('button', { name: 'Save consent' }).click();
  await expect(page.getByText('The owner agreed')).toBeVisible();
  for (const field of await page.getByLabel('Reason to accept').all()) await field.fill('looked at: it holds');
  await confirmAll(page);
  const gate = page.locator('rn-gate-panel');
  for (const line of ['Neck pickup: first remove the pickup', 'Neck pickup: first fix the template', 'In stock: Depth gauge'])
    await expect(gate).toContainText(line);
  await expect(page.getByRole('button', { name: 'Clear to cut' })).toBeDisabled();

  // Order: out of order is shown, accepted with a reason, and given back to the rules.
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Order' }).click();
  await expect(page.getByText('No rule is broken')).toBeVisible();
  await page.getByRole('button', { name: 'Later: Trace the mounted plate' }).click();
  const broken = page.locator('[data-rule="traceBeforeTemplate"]').first();
  await expect(broken).toContainText('should come before');
  await expectAccessible(page, 'order with a broken rule');
  await broken.getByLabel('Reason').fill('the template was made from the plate itself');
  await broken.getByRole('button', { name: 'Accept exception' }).click();
  await expect(broken).toContainText('Accepted');
  await page.getByRole('button', { name: 'Restore the rules’ order' }).click();
  await expect(page.getByText('No rule is broken')).toBeVisible();

  // Bench: every step; a depth that is asked for is refused when it cannot be.
  await page.getByRole('link', { name: 'Open Bench' }).click();
  await expectAccessible(page, 'bench');
  await page.getByRole('button', { name: 'Log mishap' }).click();
  await expectAccessible(page, 'what mishap');
  await page.getByRole('button', { name: 'Back to the step' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessible(page, 'the key map');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  let challenged = false;
  for (let i = 0; i < 60; i++) {
    if (await page.getByText('All work is done').isVisible()) break;
    if (await gate.isVisible()) await clearOnBench(page);
    const crumbs = await page.locator('.crumbs').innerText();
    const asks = page.getByLabel(/Depth read|Smallest gap read|Resistance read/);
    if (await asks.isVisible()) {
      if (!challenged && (await page.getByLabel('Depth read').isVisible())) {
        await page.getByRole('button', { name: 'Done' }).click();
        await expect(page.getByRole('alert')).toContainText('Type the depth');
        await expectAccessible(page, 'bench with an error');
        challenged = true;
      }
      await asks.fill(await page.locator('.ask .huge').innerText());
    }
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await stepAfter(page, crumbs);
  }
  await expect(page.getByText('All work is done')).toBeVisible();

  // Record: as left, what can be undone, the ledger, the export.
  await page.getByRole('link', { name: 'Open Record' }).click();
  await expect(page.getByText('Refit Workshop slim single-coil')).toBeVisible();
  await expect(page.locator('rn-plan-view path.planned').first()).toBeVisible();
  await expectAccessible(page, 'record');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export JSON' }).click()]);
  expect(download.suggestedFilename()).toContain('.json');

  // The database.
  const { db } = workshop;
  const newest = (await db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as {
    cause: string;
    document: { cavities: { id: string; levels: { id: string; depth: { value: number; basis: { kind: string } } }[] }[] };
  };
  expect(newest.cause).toBe('work');
  const route = newest.document.cavities.find((c) => c.id === 'neck route')!;
  expect(route.levels.map((p) => p.depth.value)).toEqual([18, 18, 22.5, 22.5, 25, 25]);
  expect(route.levels.find((p) => p.id.startsWith('main'))!.depth.basis.kind).toBe('work');
  // 2 meter (each coil) + 1 strings off + 2 take out + 1 insert + 3 trace + 1 template + (bore, unplug, bit, clear) bulk + (4 × 3 + the second ear’s depth + bit + template off + 4 unplug) passes + 2 wells + 1 test-fit + 2 fit + 1 strings on
  expect(await db('ledger').where({ instrument: FIRST, outcome: 'done' }).count('* as n').first()).toEqual({ n: '39' });
  expect(await db('waivers').count('* as n').first()).toEqual({ n: '1' });
  expect(await db('clearances').count('* as n').first()).toEqual({ n: '1' });
  expect(await db('readings').where({ instrument: FIRST, blind: true }).count('* as n').first()).toEqual({ n: '7' });

  // The owner wants the old one back: by operations of their own, with a reason; the wood stays away.
  await page.getByRole('link', { name: 'Plan the way back' }).click();
  const way = page.locator('rn-go-back');
  await expect(way).toContainText('The wood cut from the neck pickup route cannot be put back');
  await way.getByRole('button', { name: 'Plan the way back …' }).click();
  await way.getByRole('button', { name: 'Plan the way back' }).click();
  await expect(way.getByRole('alert')).toContainText('Type a reason');
  await expectAccessible(page, 'the way back');
  await way.getByLabel('Reason').fill('she misses the old sound');
  await way.getByRole('button', { name: 'Plan the way back' }).click();
  await expect(page.locator('rn-decision-made')).toContainText('Return to the previous state');
  await page.getByRole('link', { name: 'Open Order' }).click();
  for (const work of ['Remove the pickup', 'Put the insert back', 'Fit and solder the pickup']) await expect(page.getByText(work).first()).toBeVisible();
  await page.getByRole('link', { name: 'Open Bench' }).click();
  await doneOnBench(page);
  await page.getByRole('link', { name: 'Open Record' }).click();
  await expect(page.getByText(/Undone \d/)).toBeVisible();
  await expect(page.getByText('she misses the old sound')).toBeVisible();
  await expect(page.getByText('Refit Workshop slim single-coil')).toBeHidden();
  const left = (await db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as {
    document: { positions: { part: string }[]; cavities: { id: string; levels: unknown[] }[] };
  };
  const found = (await db('revisions').where({ instrument: FIRST, revision: 1 }).first()) as typeof left;
  expect(left.document.positions[0]!.part).toBe(found.document.positions[0]!.part);
  expect(left.document.cavities.find((c) => c.id === 'neck route')!.levels.length).toBe(6);
});

/** Every step that is left, one after another. */
async function doneOnBench(page: Page): Promise<void> {
  for (let i = 0; i < 20 && !(await page.getByText('All work is done').isVisible()); i++) {
    const crumbs = await page.locator('.crumbs').innerText();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await stepAfter(page, crumbs);
  }
  await expect(page.getByText('All work is done')).toBeVisible();
}
