// The cut as it is done: a traced outline is placed, its clashes are seen and cured, it is planned, printed and measured, cleared by two readings, cut pass by pass, and stands in the record.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { SHEET, tilesFor } from '@rinnovo/core/cut';
import { fromLineToLine, PX, sheetOf } from '../../server/src/testing/paper.js';
import { expectAccessible } from './axe.js';
import { TRACED } from './drawings.js';
import { clearOnBench, confirmAll, READINGS, readTwice, workUntil } from './scenes.js';
import { expect, FIRST, test } from './workshop.js';

test('a traced outline is placed, cured of two clashes, printed true, cleared by two readings, cut in passes and recorded', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/cut`);
  await page.getByRole('button', { name: /Plan a cut for/ }).click();

  // traced: a drawing takes the place of the floor
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.getByRole('button', { name: 'Another outline …' }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'notes.txt.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('no drawing') });
  await expect(page.getByRole('dialog').getByRole('alert')).toBeVisible();
  await page.locator('input[type=file]').setInputFiles({ name: 'wide route.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(TRACED) });
  await expect(page.getByRole('dialog')).toContainText('88.00 mm × 40.50 mm');
  await expectAccessible(page, 'a traced route');
  await page.getByRole('button', { name: 'Use this size' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();

  // two clashes: too deep over the cavity in the back, and out from under its plate
  const verdict = (id: string) => page.locator(`[data-verdict^="${id}"]`);
  await depth(page, '30');
  await put(page, '98');
  await page.getByRole('tab', { name: 'Verdicts' }).click();
  await expect(verdict('floor/neck route/planned/30').first()).toContainText('clashes');
  await expect(verdict('hiddenEdge/neck route/planned')).toContainText('clashes');
  // cured: one by its depth, the other by its place
  await depth(page, '22.5');
  await page.getByRole('tab', { name: 'Verdicts' }).click();
  await expect(verdict('floor/neck route/planned/22.5').first()).toContainText('7.00 mm');
  await expect(verdict('hiddenEdge/neck route/planned')).toContainText('clashes');
  await put(page, '102');
  await expect(verdict('hiddenEdge/neck route/planned')).toContainText('1.13 mm');
  await expect(page.locator('rn-verdict-list')).not.toContainText('clashes');

  // decided as it is drawn, and planned for the tools that are here
  await page.getByRole('link', { name: 'decide in Fit' }).click();
  const reroute = page.locator('[data-remedy^="reroute"]');
  await reroute.getByRole('button', { name: 'Choose option …' }).click();
  await reroute.getByLabel('Reason').fill('traced from the plywood template');
  await reroute.getByRole('button', { name: 'Choose this option' }).click();
  await page.getByRole('link', { name: 'Open Cut' }).click();
  await page.getByRole('tab', { name: 'Cutting plan' }).click();
  await expect(page.locator('rn-cutting-table .passes tbody')).toContainText('22.5 mm');
  await expect(page.locator('rn-cutting-table')).toContainText('Template off');

  // printed and measured: rules of 100 mm, the outline as wide as it is, and a bad reading refused where it was typed
  await page.getByRole('tab', { name: 'Template' }).click();
  await page.getByLabel('Rule across').fill('98');
  await expect(page.getByText(/Off by more than 0.3\smm/).first()).toBeVisible();
  await page.getByLabel('Rule across').fill('100');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download template (PDF)' }).click()]);
  const folder = mkdtempSync(path.join(tmpdir(), 'template-'));
  const file = path.join(folder, 'template.pdf');
  await download.saveAs(file);
  const sheet = sheetOf(file);
  rmSync(folder, { recursive: true });
  const paper = tilesFor({ minX: 0, minY: 0, maxX: 1, maxY: 1 }, 'A4');
  for (const way of ['across', 'along'] as const) {
    const off = SHEET.margin + (way === 'across' ? paper.height : paper.width) + 6 + 2.2;
    expect(Math.abs(fromLineToLine(sheet, way, off) - 100 * PX)).toBeLessThanOrEqual(1);
  }

  // the gate: shut on one reading, open on two
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Bench' }).click();
  await workUntil(page, () => false);
  const gate = page.locator('rn-gate-panel');
  await expect(gate).toContainText('Take a second, blind reading: body thickness');
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Survey' }).click();
  for (const [key, value] of READINGS.slice(1)) await readTwice(page, key, value);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Bench' }).click();
  await gate.getByLabel('Owner’s answer').fill('Yes, at that price');
  await gate.getByRole('button', { name: 'Save consent' }).click();
  await expect(gate).toContainText('The owner agreed');
  for (const field of await gate.getByLabel('Reason to accept').all()) await field.fill('looked at: it holds');
  // a print that the printer scaled is found out
  await confirmAll(page);
  await gate.getByLabel('Width across on the print').fill('86.5');
  await expect(gate).toContainText('The print differs from the plan across');
  await expectAccessible(page, 'the gate with a print that is off');
  await gate.getByLabel('Width across on the print').fill('88.1');
  await expect(gate).toContainText('One item still open');
  await expect(gate.getByRole('button', { name: 'Clear to cut' })).toBeDisabled();
  await gate.locator('li', { hasText: 'Take a second, blind reading' }).getByRole('link', { name: 'Measure' }).click();
  const [[thickness, value]] = READINGS as readonly [readonly [string, string]];
  await readTwice(page, thickness, value);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Bench' }).click();
  await clearOnBench(page);

  // at the machine: timed, photographed, each depth read; a slip is stated with its length and its way on, and asked for clearance again
  await page.getByRole('button', { name: 'Start the stop-watch' }).click();
  const png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  await page.locator('rn-step-photos input[type=file]').setInputFiles({ name: 'step.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(page.locator('rn-step-photos img')).toHaveCount(1);
  await expectAccessible(page, 'bench with a picture');
  await workUntil(page, (crumbs) => crumbs.includes('in passes') && crumbs.includes('step 4 '));
  await page.getByRole('button', { name: 'Log mishap' }).click();
  await page.getByLabel('Distance beyond the line').fill('0.4');
  await page.getByRole('combobox', { name: 'Direction' }).click();
  await page.getByRole('option', { name: /neck/ }).click();
  await page.getByRole('radio', { name: /Fit a sliver/ }).check();
  await page.getByLabel('What happened').fill('the tape let go');
  await page.getByLabel('Lesson for the next job').fill('two screws hold better than tape');
  await expectAccessible(page, 'a slip told');
  await page.getByRole('button', { name: 'Log mishap' }).click();
  await expect(page.locator('.step')).toContainText('the tape let go. Repair: Fit a sliver');
  await expect(page.locator('.learned')).toContainText('two screws hold better than tape');
  // the wall is worse than the owner agreed to
  await expect(gate).toContainText('Ask the owner again: Wall from new route to neck pocket');
  await clearOnBench(page);
  await workUntil(page, () => false);
  await expect(page.getByText('All work is done')).toBeVisible();

  // the record
  await page.getByRole('link', { name: 'Open Record' }).click();
  await expect(page.getByText('Slip of the template or the bit, 0.40 mm towards the neck')).toBeVisible();
  await expect(page.getByText(/gap read/)).toBeVisible();
  await expect(page.locator('.pictures img')).toHaveCount(1);
  await expectAccessible(page, 'record with a mishap and a picture');
  const left = (await workshop.db('revisions').where({ instrument: FIRST }).orderBy('revision', 'desc').first()) as {
    document: { cavities: { id: string; levels: { id: string; depth: { value: number; basis: { kind: string } } }[] }[] };
  };
  const { levels } = left.document.cavities.find((c) => c.id === 'neck route')!;
  const main = levels.find((p) => p.id.startsWith('main'))!;
  expect([main.depth.value, main.depth.basis.kind]).toEqual([22.5, 'work']);
  expect(levels.some((p) => p.id.startsWith('slip neck main'))).toBe(true);
  const steps = (await workshop.db('ledger').where({ instrument: FIRST, kind: 'routePasses' }).orderBy('at')) as { step: string; minutes: number | null }[];
  // 6, 12, 18 and 22.5, each set, cut and read
  expect(new Set(steps.filter((s) => s.step.endsWith(' cut')).map((s) => s.step)).size).toBe(4);
  expect(steps.filter((s) => s.step.endsWith('measureDepth')).length).toBeGreaterThanOrEqual(4);
  expect(steps.every((s) => s.minutes !== null && s.minutes > 0)).toBe(true);
});

async function depth(page: Page, mm: string): Promise<void> {
  await page.getByRole('tab', { name: 'Outline' }).click();
  await page.getByLabel('main, depth').fill(mm);
  await page.getByRole('button', { name: 'Apply depths' }).click();
}

async function put(page: Page, along: string): Promise<void> {
  await page.getByLabel('Centre, offset along').fill(along);
  await page.getByRole('button', { name: 'Move the route' }).click();
}
