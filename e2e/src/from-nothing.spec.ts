// An instrument that has just arrived: begun from its kind, a feature added and measured from what is at hand by keyboard alone, the chain closed, and all of it in the database.
import { expectAccessible } from './axe.js';
import { PLATE } from './drawings.js';
import { expect, test } from './workshop.js';
import type { Page } from '@playwright/test';

/** Tabs until the focus is on what the selector names. */
async function tabTo(page: Page, selector: string): Promise<void> {
  for (let i = 0; i < 120; i++) {
    if (await page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`the keyboard does not reach ${selector}`);
}

/** Chooses in a select that has the focus, by typing the option's first letters. */
async function pick(page: Page, letters: string): Promise<void> {
  await page.keyboard.press('Enter');
  await page.getByRole('listbox').waitFor();
  await page.keyboard.type(letters);
  await page
    .locator('.mat-mdc-option-active')
    .filter({ hasText: new RegExp(`^\\s*${letters}`, 'i') })
    .waitFor();
  // the list takes Enter once it no longer waits for another letter (0.2 s)
  await page.waitForTimeout(300);
  await page.keyboard.press('Enter');
  await page.getByRole('listbox').waitFor({ state: 'hidden' });
}

async function measure(page: Page, fromSide: string, to: string, toSide: string, distance: string): Promise<void> {
  const panel = page.locator('rn-distance-panel');
  const selects = panel.locator('mat-select');
  if (fromSide !== '') {
    await selects.nth(1).focus();
    await pick(page, fromSide);
  }
  await selects.nth(2).focus();
  await pick(page, to);
  await selects.nth(3).focus();
  await pick(page, toSide);
  await panel.getByRole('textbox', { name: 'Distance' }).focus();
  await page.keyboard.type(distance);
  await page.keyboard.press('Enter');
}

test('from nothing to a closed chain of measurements, by keyboard alone', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/instruments`);
  await page.getByRole('link', { name: 'New instrument', exact: true }).waitFor();
  await tabTo(page, 'a[href="/instruments/start"]');
  await page.keyboard.press('Enter');
  await page.getByLabel('Label').waitFor();
  await tabTo(page, 'form button[type=submit]');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Type a label: its name')).toBeVisible();
  await expectAccessible(page, 'start with an error');
  await page.getByLabel('Label').focus();
  await page.keyboard.type('Lapwing');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Measure', exact: true }).waitFor();
  await expectAccessible(page, 'what to do next');
  await tabTo(page, 'a[href$="/survey"]');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Anatomy' }).waitFor();
  await tabTo(page, 'a[href$="/anatomy"]');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'Features' })).toBeVisible();
  await expectAccessible(page, 'anatomy');

  // a recess is added; it stands in the middle of the body
  await page.locator('rn-feature-panel mat-select').first().focus();
  await pick(page, 'Rec');
  await tabTo(page, 'rn-feature-panel .add button');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-feature^="recess"]')).toBeVisible();
  await expect(page.locator('.bar [role=status]')).toHaveText('revision 2');

  // a plate is added and gets its outline from a traced drawing
  await page.locator('rn-feature-panel mat-select').first().focus();
  await pick(page, 'Plate');
  await tabTo(page, 'rn-feature-panel .add button');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Outline …' }).focus();
  await page.keyboard.press('Enter');
  const file = (name: string, text: string) => page.locator('input[type=file]').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
  await file('broken.svg', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0');
  await expect(page.getByRole('alert')).toContainText('broken.svg: The file is damaged');
  await expectAccessible(page, 'a broken drawing');
  await file('plate.svg', PLATE);
  await page.getByRole('radio').first().waitFor();
  await expect(page.getByText('105.00 mm × 50.00 mm (')).toBeVisible();
  await expectAccessible(page, 'a drawing to confirm');
  await page.getByRole('button', { name: 'Use this size' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.locator('[data-field="width"] input')).toHaveValue('105');

  // measured: pocket's mouth to its nut edge 0, its bridge edge to the recess 62.5, and over all 136.6: 0.1 is within the rule's limits
  await page.getByRole('tab', { name: 'Distances' }).focus();
  await page.keyboard.press('Enter');
  await page.locator('rn-distance-panel form button[type=submit]').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Choose two different edges');
  await expectAccessible(page, 'distances with an error');
  await measure(page, '', 'Neck', 'nut', '0');
  await expect(page.locator('rn-distance-panel li')).toHaveCount(1);
  await page.locator('rn-distance-panel mat-select').first().focus();
  await pick(page, 'Neck');
  await measure(page, 'bri', 'Rec', 'nut', '62.5');
  await expect(page.locator('rn-distance-panel li')).toHaveCount(2);
  await page.locator('rn-distance-panel mat-select').first().focus();
  await pick(page, 'mouth');
  await measure(page, '', 'Rec', 'nut', '136.8');
  await expect(page.locator('rn-distance-panel li')).toHaveCount(3);
  await expect(page.getByText('A chain of distances does not close')).toHaveCount(0);
  await expect(page.locator('rn-distance-panel li').nth(2)).toContainText('off by');
  // one that cannot be: the chain says so, and it is taken away again
  await measure(page, '', 'Rec', 'bri', '190');
  await expect(page.getByRole('alert')).toContainText('A chain of distances does not close');
  await expectAccessible(page, 'distances with an open chain');
  await page.getByRole('button', { name: /Delete: .*bridge edge of the recess/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('A chain of distances does not close')).toHaveCount(0);
  await expect(page.locator('.bar [role=status]')).toContainText('revision');

  // history: laid over the first state, and undo
  await page.getByRole('tab', { name: 'History' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Compare' }).last().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Compared with revision 1')).toBeVisible();
  await expect(page.getByText('Recess: added')).toBeVisible();
  await expectAccessible(page, 'history compared');

  const one = (await workshop.db('instruments').where({ label: 'Lapwing' }).first()) as { id: string; kind: string };
  expect(one.kind).toBe('bolt-on solid');
  interface Doc {
    cavities: { name: string; levels: { outline: { outline: { vertices: { x: number; y: number }[] } } }[] }[];
    distances: { value: number; raw: string; limit: number }[];
    plates: { name: string; outline: { basis: { kind: string }; outline: { vertices: { x: number }[] } } }[];
  }
  await expect(async () => {
    const { document } = (await workshop.db('revisions').where({ instrument: one.id }).orderBy('revision', 'desc').first()) as { document: Doc };
    expect(document.distances.map((d) => d.raw)).toEqual(['0', '62.5', '136.8']);
    const plate = document.plates.find((p) => p.name === 'Plate')!;
    const xs = plate.outline.outline.vertices.map((v) => v.x);
    expect(plate.outline.basis.kind).toBe('sheet');
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(105, 9);
    // least squares by hand: x from the mouth; 74 long pocket at p: p = 0, r − p − 74 = 62.5, r = 136.8, equal limits; 0.3 shared in thirds
    const ys = document.cavities.find((c) => c.name === 'Recess')!.levels[0]!.outline.outline.vertices.map((v) => v.y);
    expect(Math.min(...ys)).toBeCloseTo(136.7, 6);
  }).toPass({ timeout: 10_000 });
});

test('what was begun here can be planned: a place for the pickup, a job, a part, and its verdicts', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/instruments/start`);
  await page.getByLabel('Label').fill('Ruff');
  await page.getByRole('button', { name: 'Add instrument' }).click();
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  await page.getByRole('link', { name: 'Anatomy' }).click();
  await page.locator('[data-feature="bridge route"]').click();
  await page.getByRole('button', { name: 'Plan a pickup in the Bridge' }).waitFor();
  await page.getByRole('link', { name: 'Fit' }).click();
  await expect(page.getByText('Open a job first')).toBeVisible();
  await page.getByRole('link', { name: 'Open job' }).click();
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByRole('alert')).toContainText('Type the work in a few words');
  await page.getByLabel('Work to do').fill('A full two-coil at the bridge');
  await page.getByLabel('Budget').fill('a lot');
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByRole('alert')).toContainText('Type an amount');
  await expectAccessible(page, 'about with an error');
  await page.getByLabel('Budget').fill('250');
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByRole('heading', { name: 'The job' })).toBeVisible();

  await page.getByRole('link', { name: 'Fit' }).click();
  await page.getByRole('link', { name: 'Open Anatomy' }).click();
  await page.locator('rn-feature-panel mat-select').first().click();
  await page.getByRole('option', { name: 'Ring' }).click();
  await page.getByRole('button', { name: 'Add feature', exact: true }).click();
  await page.locator('[data-field="y"] input').fill('203');
  await page.getByRole('button', { name: 'Apply', exact: true }).click();
  await page.locator('[data-feature="bridge route"]').click();
  await page.getByRole('button', { name: 'Plan a pickup in the Ring' }).click();
  await expect(page.locator('rn-plan-view.panel path.opening')).toHaveCount(1);
  await expect(page.locator('.bar [role=status]')).toContainText('revision');

  await page.getByRole('link', { name: 'Fit' }).click();
  await page.getByLabel('Part to fit').click();
  await page.getByRole('option', { name: /two-coil, full width/ }).click();
  await expectAccessible(page, 'nothing planned yet');
  await page.getByRole('button', { name: 'Check the fit' }).click();
  await expect(page.locator('[data-verdict^="partInRoute/"]').first()).toBeVisible();
  await expect(page.locator('[data-remedy^="reroute"]')).toBeVisible();

  // nothing of it is shown on another instrument
  await page.getByRole('link', { name: 'Rinnovo' }).click();
  await page.getByRole('link', { name: /Shrike seven/ }).click();
  await page.getByRole('link', { name: 'Fit' }).click();
  await expect(page.getByText('Open a job first')).toBeVisible();
  const { limits } = (await workshop.db('jobs').where({ title: 'A full two-coil at the bridge' }).first()) as { limits: { budget: number } };
  expect(limits.budget).toBe(25000);
});
