// An inspection by keyboard alone: stop signs, the room, what is heard, columns of readings; three symptoms of one cause, and a dry room that holds up a judgement.
import { expectAccessible } from './axe.js';
import { expect, FIRST, test } from './workshop.js';

test('led through an inspection by keyboard alone, to findings with their first cause', async ({ page, workshop }) => {
  test.setTimeout(120_000);
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await page.getByRole('link', { name: 'Inspection' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Sign to stop at' })).toBeVisible();
  await expectAccessible(page, 'inspection, stop first');

  /** Answers every question of a step; those named with yes. */
  const answer = async (yes: readonly string[]): Promise<void> => {
    for (const row of await page.locator('rn-step-grid tbody tr').all()) {
      const place = (await row.locator('th').innerText()).trim();
      await row.getByRole('button', { name: yes.includes(place) ? 'yes' : 'no', exact: true }).focus();
      await page.keyboard.press('Enter');
    }
    await keep();
  };
  const keep = async (): Promise<void> => {
    const heading = page.locator('rn-step-grid h2');
    const before = (await heading.textContent()) ?? '';
    await page.getByRole('button', { name: 'Keep and go on' }).focus();
    await page.keyboard.press('Enter');
    await expect(heading).not.toHaveText(before);
  };
  /** A column from the first cell on. */
  const column = async (...texts: readonly string[]): Promise<void> => {
    await page.locator('rn-step-grid [data-cell]').first().focus();
    for (const [i, text] of texts.entries()) {
      await page.keyboard.type(text);
      if (i + 1 < texts.length) await page.keyboard.press('Enter');
    }
  };
  await answer([]);
  await expect(page.getByRole('heading', { name: 'Relative humidity' })).toBeVisible();
  await column('wet');
  await page.keyboard.press('Enter');
  await expect(page.locator('rn-step-grid form > [role=alert]')).toContainText('Nothing was kept');
  await expectAccessible(page, 'inspection with an error');
  await page.locator('rn-step-grid [data-cell]').first().fill('');
  await column('49');
  await keep();
  await column('20,5');
  await keep();
  await answer(['buzz from the 12th up']);
  await expect(page.getByRole('heading', { name: 'Relief' })).toBeVisible();
  await column('.6');
  await expect(page.locator('rn-step-grid tbody')).toContainText('too high');
  await keep();
  await column('2.1', '2.1', '2.2', '2.3', '2.4', '2.6');
  await expect(page.locator('rn-step-grid .waits')).toContainText('relief 0.60 mm comes first');
  await expectAccessible(page, 'a step that waits');
  await keep();

  await page.getByRole('link', { name: 'Findings' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-finding]')).toHaveCount(3);
  await expect(page.locator('[data-finding]').first()).toContainText('Too much relief');
  await expect(page.locator('[data-finding]').first()).toContainText('Explains: action is high, it buzzes from the 12th up');
  await expectAccessible(page, 'findings');

  // from the bench: the room has dried out, and fret ends are felt
  await page.keyboard.press('/');
  await expect(page.getByLabel('What was read or noticed')).toBeFocused();
  await page.keyboard.type('rh 31');
  await expect(page.getByLabel('Understood')).toContainText('Relative humidity: 31 %');
  await expectAccessible(page, 'quick log');
  await page.keyboard.press('Enter');
  await expect(page.getByText('One reading kept')).toBeVisible();
  await page.keyboard.type('lacquer checks at the heel');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept as a note')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-finding]').first()).toContainText('The room is too dry');
  await page.getByRole('link', { name: 'Inspection' }).focus();
  await page.keyboard.press('Enter');
  await page.locator('[data-step=fretEnds]').focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('rn-step-grid .waits')).toContainText('relative humidity 31 % comes first');
  await page.getByRole('button', { name: 'sharp along both sides' }).focus();
  await page.keyboard.press('Enter');
  await keep();
  await page.getByRole('link', { name: 'Findings' }).focus();
  await page.keyboard.press('Enter');
  const ends = page.locator('[data-finding=fretEndsDry]');
  await expect(ends).toContainText('Comes from: the room is too dry');
  await expect(ends).toContainText('Cannot be judged yet');

  const states = (await workshop.db('readings').where({ instrument: FIRST }).whereRaw("target->>'feature' in ('room', 'neck')").orderBy('at')) as {
    raw: string;
  }[];
  expect(states.map((r) => r.raw)).toEqual(['49', '20,5', '.6', '31', 'sharp along both sides']);
  expect((await workshop.db('anatomy_revisions').where({ instrument: FIRST })).length).toBe(1);
  const one = (await workshop.db('instruments').where({ id: FIRST }).first()) as { notes: string };
  expect(one.notes).toContain('\nlacquer checks at the heel');
});
