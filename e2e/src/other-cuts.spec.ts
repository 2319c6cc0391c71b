// Cuts that no part asks for: a neck pocket cut deeper and a row of holes, from the plan to the instrument as left.
import { expectAccessible } from './axe.js';
import { clearOnBench, readTwice, workUntil } from './scenes.js';
import { expect, FIRST, test } from './workshop.js';

test('a level is cut deeper and a row of holes drilled, and both stand in the record', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/cut`);
  const form = page.getByRole('form', { name: 'Other cuts' });
  await form.getByRole('button', { name: 'Check this cut' }).click();
  await expect(form.getByRole('alert')).toContainText('Choose the level');
  await form.getByRole('combobox', { name: 'Level' }).click();
  await page.getByRole('option', { name: /neck pocket/ }).click();
  await expectAccessible(page, 'other cuts');
  // deeper than the body: a clash, not a crash
  await form.getByLabel('Target depth').fill('60');
  await form.getByRole('button', { name: 'Check this cut' }).click();
  const verdicts = page.getByRole('region', { name: 'Verdicts' });
  await expect(verdicts.locator('li.clashes')).toContainText('Floor');
  await page.getByRole('button', { name: /Remove Neck pocket: deepen from the plan/ }).click();

  await page.getByRole('link', { name: 'Cut' }).click();
  await form.getByRole('combobox', { name: 'Level' }).click();
  await page.getByRole('option', { name: /neck pocket/ }).click();
  await form.getByLabel('Target depth').fill('17');
  await form.getByRole('button', { name: 'Check this cut' }).click();
  await expect(verdicts.locator('[data-verdict^="floor"]').first()).toContainText('24.50 mm');
  await expectAccessible(page, 'a cut by itself in Fit');
  const deeper = page.locator('[data-remedy^="cutAsPlanned"]');
  await deeper.getByRole('button', { name: 'Choose option …' }).click();
  await deeper.getByLabel('Reason').fill('the neck stands a millimetre high');
  await deeper.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.locator('rn-decision-made')).toContainText('a millimetre high');

  // a row of six for the strings, through the body
  await page.getByRole('link', { name: 'Cut' }).click();
  await form.getByRole('combobox', { name: 'Kind of cut' }).click();
  await page.getByRole('option', { name: 'Row of holes' }).click();
  await form.getByLabel('Spacing, centre to centre').fill('6');
  await form.getByRole('button', { name: 'Check this cut' }).click();
  await expect(form.getByRole('alert')).toContainText('overlap');
  await form.getByLabel('Spacing, centre to centre').fill('12');
  await form.getByLabel('First hole, offset across').fill('-30');
  await form.getByRole('button', { name: 'Check this cut' }).click();
  await expect(page.locator('rn-place-list')).toContainText('Row of 6 string holes');
  const row = page.locator('[data-remedy^="cutAsPlanned"]');
  await row.getByRole('button', { name: 'Choose option …' }).click();
  await row.getByLabel('Reason').fill('strings through the body, as she asked');
  await row.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.locator('rn-decision-made')).toContainText('as she asked');

  // a plate that would sink takes depth from what hangs in it: seen, and left alone
  await page.getByRole('link', { name: 'Cut' }).click();
  await form.getByRole('combobox', { name: 'Kind of cut' }).click();
  await page.getByRole('option', { name: 'Relief for a plate' }).click();
  await form.getByRole('combobox', { name: 'Plate' }).click();
  await page.getByRole('option').first().click();
  await expectAccessible(page, 'a relief');
  await form.getByRole('button', { name: 'Check this cut' }).click();
  await expect(page.locator('rn-place-list')).toContainText('relief');
  await expect(page.locator('rn-remedy-list')).toContainText('New clashes');
  await page.getByRole('button', { name: /relief from the plan/ }).click();

  // the sheet of holes, with the pilots and the pattern of the plate
  await page.goto(`${workshop.url}/i/${FIRST}/cut/holes`);
  await expect(page.getByRole('region', { name: 'Holes of the job' }).locator('tbody tr')).toHaveCount(6);
  await expect(page.getByRole('region', { name: 'Pilots for wood screws' })).toContainText('No. 4');
  await expectAccessible(page, 'the sheet of holes');

  await page.goto(`${workshop.url}/i/${FIRST}/order`);
  for (const work of ['Deepen the cavity', 'Drill the row of holes']) await expect(page.getByText(work).first()).toBeVisible();
  await page.getByRole('link', { name: 'Open Bench' }).click();
  await workUntil(page, (crumbs) => /deepen the cavity/i.test(crumbs));
  // what is asked before a cut is asked for the work at hand
  const gate = page.locator('rn-gate-panel');
  await expect(gate).toContainText('neck pocket');
  await expect(gate.getByRole('button', { name: 'Clear to cut' })).toBeDisabled();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Survey' }).click();
  await readTwice(page, 'bodyThickness|body|', '41.5');
  await readTwice(page, 'levelDepth|neck pocket|pocket', '16');
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Bench' }).click();
  await clearOnBench(page);
  await workUntil(page, (crumbs) => /drill the row/i.test(crumbs));
  await clearOnBench(page);
  await workUntil(page, () => false);
  await expect(page.getByText('All work is done')).toBeVisible();

  await page.getByRole('link', { name: 'Open Record' }).click();
  await expect(page.getByText('New: string hole 6')).toBeVisible();
  const left = (await workshop.db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as {
    document: {
      holes: { kind: string; basis: { kind: string } }[];
      cavities: { id: string; levels: { depth: { value: number; basis: { kind: string } } }[] }[];
    };
  };
  expect(left.document.holes.filter((h) => h.kind === 'string' && h.basis.kind === 'work').length).toBe(6);
  const { depth } = left.document.cavities.find((c) => c.id === 'neck pocket')!.levels[0]!;
  expect([depth.value, depth.basis.kind]).toEqual([17, 'work']);
});
