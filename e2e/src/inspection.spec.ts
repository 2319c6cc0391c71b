// A fresh instrument surveyed by keyboard alone, from 'stop first' to the signature: three symptoms of one cause, and a dry room that holds up a judgement.
import { expectAccessible } from './axe.js';
import { expect, FIRST, test } from './workshop.js';

test('led through an inspection by keyboard alone, to findings with their first cause', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${FIRST}/survey`);
  await page.getByRole('link', { name: 'Inspection' }).focus();
  await page.keyboard.press('Enter');
  await expectAccessible(page, 'before the first survey');
  await page.getByLabel('Strings fitted').focus();
  await page.keyboard.type('10–46, new');
  await page.keyboard.press('Tab');
  await page.keyboard.type('standard');
  await page.keyboard.press('Enter');
  await expect(page.getByText('10–46, new · standard')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Stop sign' })).toBeVisible();
  await expectAccessible(page, 'inspection, stop first');

  /** Answers every question of a step; those named with yes. */
  const answer = async (yes: readonly string[]): Promise<void> => {
    for (const row of await page.locator('rn-step-grid tbody tr').all()) {
      const place = (await row.locator('th').innerText()).trim();
      if (!yes.includes(place)) continue;
      await row.getByRole('button', { name: 'yes', exact: true }).focus();
      await page.keyboard.press('Enter');
    }
    await page.getByRole('button', { name: /^Answer the other \d+: no$/ }).focus();
    await page.keyboard.press('Enter');
    await keep();
  };
  const keep = async (): Promise<void> => {
    const heading = page.locator('rn-step-grid h2');
    const before = (await heading.textContent()) ?? '';
    await page.getByRole('button', { name: 'Save and continue' }).focus();
    await page.keyboard.press('Enter');
    await expect(heading).not.toHaveText(before);
  };
  /** Another step by its row of the rail: the hand is in its first place then. */
  const step = async (id: string): Promise<void> => {
    await page.locator(`[data-step=${id}]`).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator(`[data-step=${id}]`)).toHaveAttribute('aria-current', 'step');
    await expect(page.locator('rn-step-grid :is([data-cell], .answers button)').first()).toBeFocused();
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
  await expect(page.locator('rn-step-grid form > [role=alert]')).toContainText('Not saved');
  await expectAccessible(page, 'inspection with an error');
  await page.locator('rn-step-grid [data-cell]').first().fill('');
  await column('49');
  await keep();
  await column('20,5');
  await keep();
  await answer(['Buzz from the 12th fret up']);
  await expect(page.getByRole('heading', { name: 'Relief' })).toBeVisible();
  await column('.6');
  await expect(page.locator('rn-step-grid tbody')).toContainText('too high');
  await keep();
  await expect(page.getByRole('heading', { name: 'Relief on the treble side' })).toBeVisible();
  await step('action');
  await column('2.1', '2.1', '2.2', '2.3', '2.4', '2.6');
  await expect(page.locator('rn-step-grid .waits')).toContainText('correct the relief (0.60 mm) first');
  await expectAccessible(page, 'a step that waits');
  await keep();

  await page.getByRole('link', { name: 'Findings' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-finding]')).toHaveCount(3);
  await expect(page.locator('[data-finding]').first()).toContainText('Too much relief');
  await expect(page.locator('[data-finding]').first()).toContainText('Explains: high action, buzz from the 12th fret up');
  await expectAccessible(page, 'findings');

  // from the bench: the room has dried out, and fret ends are felt
  await page.keyboard.press('/');
  await expect(page.getByLabel('Reading or note')).toBeFocused();
  await page.keyboard.type('rh 31');
  await expect(page.getByLabel('Parsed')).toContainText('Relative humidity: 31 %');
  await expectAccessible(page, 'quick log');
  await page.keyboard.press('Enter');
  await expect(page.getByText('One reading saved')).toBeVisible();
  await page.keyboard.type('lacquer checks at the heel');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved as a note')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-finding]').first()).toContainText('The room is too dry');
  await page.getByRole('link', { name: 'Inspection' }).focus();
  await page.keyboard.press('Enter');
  await step('fretEnds');
  await expect(page.locator('rn-step-grid .waits')).toContainText('correct the relative humidity (31 %) first');
  await page.getByRole('button', { name: 'sharp along both sides' }).focus();
  await page.keyboard.press('Enter');
  await keep();
  await page.getByRole('link', { name: 'Findings' }).focus();
  await page.keyboard.press('Enter');
  const ends = page.locator('[data-finding=fretEndsDry]');
  await expect(ends).toContainText('Comes from: the room is too dry');
  await expect(ends).toContainText('Not judged yet');

  await expect(page.locator('[data-finding=roomDry]')).toContainText('At equilibrium here, wood holds');

  // the first cause goes into the job; what no rule knows is pinned
  await page.locator('[data-finding=roomDry]').getByRole('button', { name: 'Add to this job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('rn-task-list')).toContainText('The room is too dry');
  await page.getByLabel('Add a finding').focus();
  await page.keyboard.type('a dent in the edge');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-own]')).toContainText('A dent in the edge');
  await expectAccessible(page, 'findings with a task and an own one');

  // what is still missing for a level, by keyboard
  await page.getByRole('link', { name: 'Still to measure' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: 'Kinds of work' }).getByRole('button', { name: 'Fret ends' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-missing]').first()).toBeVisible();
  await expect(page.locator('[data-missing^=boardEndWidth]')).toContainText('not read');
  await expectAccessible(page, 'missing');

  // a place out of reach, a second reading that cannot see the first, and the signature
  await page.getByRole('link', { name: 'Inspection' }).focus();
  await page.keyboard.press('Enter');
  await step('rodTurns');
  await page.getByRole('button', { name: 'More for Remaining rod turns' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: /Mark as not measurable/ }).focus();
  await page.keyboard.press('Enter');
  await page.locator('.reason input').focus();
  await page.keyboard.type('the cover is glued');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-step=rodTurns]')).toContainText('cannot be measured');
  await step('relief');
  await page.getByRole('button', { name: 'More for Relief' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Take a second reading' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox').focus();
  await page.keyboard.press('Space');
  await dialog.getByLabel('Second reading').focus();
  await expectAccessible(page, 'a second reading');
  expect(await page.locator('body').innerText()).not.toContain('0.60');
  await page.keyboard.type('.58');
  await page.keyboard.press('Enter');
  await expect(dialog).toHaveCount(0);
  await expect(page.locator('rn-step-grid tbody')).toContainText('two readings agree');
  await page.getByRole('button', { name: 'Sign survey …' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Sign the survey' })).toContainText('without a reading or a reason');
  await expectAccessible(page, 'before signing');
  await page.getByRole('button', { name: /^Sign as/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/✓ Signed by/)).toBeVisible();
  await expect(page.locator('rn-step-grid')).toHaveCount(0);
  await expectAccessible(page, 'a signed survey');

  const states = (await workshop.db('readings').where({ instrument: FIRST }).whereRaw("target->>'feature' in ('room', 'neck')").orderBy('at')) as {
    raw: string;
  }[];
  expect(states.map((r) => r.raw)).toEqual(['49', '20,5', '.6', '31', 'sharp along both sides', '.58']);
  const [kept] = (await workshop.db('surveys').where({ instrument: FIRST })) as { signed_at: Date | null; strings: string }[];
  expect([kept?.strings, kept?.signed_at === null]).toEqual(['10–46, new', false]);
  const outside = (await workshop.db('readings').where({ instrument: FIRST, survey: null }).whereRaw("target->>'feature' in ('room', 'neck')")) as unknown[];
  expect(outside).toEqual([]);
  expect((await workshop.db('revisions').where({ instrument: FIRST })).length).toBe(1);
  const one = (await workshop.db('instruments').where({ id: FIRST }).first()) as { notes: string };
  expect(one.notes).toContain('\nlacquer checks at the heel');
});
