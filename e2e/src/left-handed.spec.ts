// A place with three clashes on a left-handed instrument, cured one by one up to its printed template. The outline is traced as it is seen, with its longer ear on the
// left; seen from the top that is the treble side of a left-handed instrument, and on the paper it is on the left again.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import type { AnatomyRevision } from '@rinnovo/contract';
import type { PickupChoice, Plan } from '@rinnovo/core/check';
import { SHEET, templateOf, tilesFor } from '@rinnovo/core/cut';
import { settingsWith } from '@rinnovo/core/operation';
import { PX, sheetOf } from '../../server/src/testing/paper.js';
import { expectAccessible } from './axe.js';
import { TRACED_ONE_EAR } from './drawings.js';
import { expect, FIRST, test } from './workshop.js';

test('three clashes on a left-handed instrument are cured, and the template is printed as it lies', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/anatomy`);
  await page.getByRole('tab', { name: 'Build' }).click();
  await page.getByLabel('Handedness').click();
  await page.getByRole('option', { name: 'left-handed' }).click();
  await expect(page.locator('.bar [role=status]')).toContainText('revision 2');

  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Cut' }).click();
  await page.getByRole('button', { name: /Plan a cut for/ }).click();
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.getByRole('button', { name: 'Another outline …' }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'one ear.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(TRACED_ONE_EAR) });
  await expect(page.getByRole('dialog')).toContainText('88.00 mm × 40.50 mm');
  await page.getByRole('button', { name: 'Use this size' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();

  // too deep over the cavity in the back, out from under its plate, and an ear of the part over the old floor
  await depth(page, '30');
  await put(page, '98', '-6');
  await page.getByRole('tab', { name: 'Verdicts' }).click();
  const verdict = (id: string) => page.locator(`[data-verdict^="${id}"]`);
  await expect(verdict('floor/neck route/planned/30').first()).toContainText('clashes');
  await expect(verdict('hiddenEdge/neck route/planned')).toContainText('clashes');
  await expect(verdict('depthUnderPart/neck pickup/ears')).toContainText('clashes');
  await expectAccessible(page, 'three clashes, left-handed');
  // cured one by one: by its depth, by its place along (101.6 + 0.4), by its place across
  await depth(page, '22.5');
  await page.getByRole('tab', { name: 'Verdicts' }).click();
  await expect(verdict('floor/neck route/planned/22.5').first()).not.toContainText('clashes');
  await put(page, '4 in + .4 mm', '-6');
  await expect(page.getByLabel('Centre, offset along')).toHaveValue(/^102/);
  await expect(verdict('hiddenEdge/neck route/planned')).toContainText('−3.00 mm');
  await put(page, '102', '0');
  await expect(page.locator('rn-verdict-list')).not.toContainText('clashes');

  await page.getByRole('tab', { name: 'Template' }).click();
  await expect(page.locator('rn-template-form')).toContainText('Left-handed, seen from the top: the treble side is on the left.');
  const folder = mkdtempSync(path.join(tmpdir(), 'left-'));
  try {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download template (PDF)' }).click()]);
    const file = path.join(folder, 'template.pdf');
    await download.saveAs(file);
    const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
    expect([text.includes('left-handed, seen from the top'), text.includes('MIRRORED')]).toEqual([true, false]);

    // what was saved, and where its own sheet begins: a row below the ears meets the long ear's end on the left, the body of the route on the right
    const jobs = (await workshop.db('jobs').where({ instrument: FIRST, active: true }).first()) as { id: string };
    const { plan } = (await (await page.request.get(`${workshop.url}/api/jobs/${jobs.id}/plan`)).json()) as { plan: Plan };
    const { document } = (await (await page.request.get(`${workshop.url}/api/instruments/${FIRST}/anatomy`)).json()) as AnatomyRevision;
    const state = { anatomy: document, parts: {}, stock: [], settings: settingsWith(), tools: [], done: new Set<string>(), fitted: [] };
    const [tile] = tilesFor(templateOf(state, plan.choices[0] as PickupChoice, false)!.box, 'A4').tiles;
    const sheet = sheetOf(file);
    const row = Math.round((102 + 9 - tile!.y + SHEET.margin) * PX);
    const dark = (x: number): boolean => [-3, -2, -1, 0, 1, 2, 3].some((d) => sheet.dark(Math.round((x - tile!.x + SHEET.margin) * PX) + d, row));
    expect([dark(-44), dark(-35.75), dark(35.75), dark(44)]).toEqual([true, false, true, false]);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

async function depth(page: Page, mm: string): Promise<void> {
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.getByLabel('main, depth').fill(mm);
  await page.getByRole('button', { name: 'Apply depths' }).click();
}

async function put(page: Page, along: string, across: string): Promise<void> {
  await page.getByLabel('Centre, offset across').fill(across);
  await page.getByLabel('Centre, offset along').fill(along);
  await page.getByRole('button', { name: 'Move the route' }).click();
}
