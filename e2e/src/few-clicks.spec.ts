// What a hand does for the two tasks that a workshop does most, counted: from arrival to clear to cut, and small hardware decided and ordered.
import type { Locator } from '@playwright/test';
import { moveIn, putOnShelf, test } from './empty.js';
import { Hand } from './hand.js';
import { stepAfter } from './scenes.js';
import { expect, type Workshop } from './workshop.js';

test('from arrival to clear to cut: at most 80 clicks and 120 keys', async ({ page, workshop }) => {
  await putOnShelf(workshop, ['Morrow two-coil, full width']);
  await moveIn(page, workshop);
  const hand = new Hand(page);
  await hand.click(page.getByRole('link', { name: 'New instrument' }));

  // the door: kind, owner, job, the sizes at hand, and the part that is wanted
  await hand.click(page.locator('.kinds label').filter({ hasText: 'bolt-on' }));
  const name = async (field: Locator, text: string): Promise<void> => {
    await hand.click(field);
    await hand.given(text);
  };
  await name(page.getByLabel('Label'), 'Lapwing');
  await name(page.getByRole('combobox', { name: 'Owner' }), 'Una Fell');
  await name(page.getByLabel('Job'), 'Full two-coil');
  await hand.click(page.locator('[data-field="thickness"] input'));
  for (const size of ['44.2', '16.0', '90', '22', '17']) {
    await hand.given(size);
    await hand.press('Tab');
  }
  await hand.choose(page.getByLabel('Cover over the route'), 'Guard');
  await hand.choose(page.getByLabel('Pickup to fit'), 'Morrow two-coil, full width');
  await hand.click(page.getByRole('button', { name: 'Add instrument' }));
  await hand.click(page.getByRole('link', { name: 'Check the fit' }));

  // the option is chosen with a reason
  const reroute = page.locator('[data-remedy^="reroute"]');
  await hand.click(reroute.getByRole('button', { name: 'Choose option …' }));
  await expect(reroute.getByLabel('Reason')).toBeFocused();
  await hand.says('as asked');
  await hand.press('Enter');
  await page.getByRole('heading', { name: 'Decided' }).waitFor();

  // every reading, and every second one
  const stages = page.getByRole('navigation', { name: 'Stages' });
  await hand.click(stages.getByRole('link', { name: 'Survey' }));
  const next = page.locator('.head button', { hasText: 'Measure' });
  await hand.click(next);
  await readAll(hand, { across: '69.8', along: '38.8' });
  // the window was typical: it is drawn as it was read
  const drawn = page.locator('.off button');
  for (const left of [1, 0]) {
    await hand.click(drawn.first());
    await expect(drawn).toHaveCount(left);
  }

  // on the bench: what comes before the cut, then what it asks
  await hand.click(stages.getByRole('link', { name: 'Bench' }));
  const gate = page.locator('rn-gate-panel');
  const done = page.getByRole('button', { name: 'Done', exact: true });
  for (let i = 0; i < 20; i++) {
    await done.or(gate).first().waitFor();
    if (await gate.isVisible()) break;
    const crumbs = await page.locator('.crumbs').innerText();
    const ohms = page.getByLabel('Resistance read');
    if (await ohms.isVisible()) {
      const expected = await page.locator('.ask .huge').innerText();
      await hand.into(ohms);
      await hand.says(expected.replace(/\s/g, ''));
    }
    await hand.click(done);
    await stepAfter(page, crumbs);
  }
  await expect(gate.locator('.still')).toContainText('consent');
  if (await gate.getByLabel('Reason to accept all').isVisible()) {
    await hand.into(gate.getByLabel('Reason to accept all'));
    await hand.says('looked at');
  }
  await hand.into(gate.getByLabel('Owner’s answer'));
  await hand.says('yes');
  await hand.press('Enter');
  await gate.getByText('The owner agreed').waitFor();
  await hand.into(gate.getByLabel('Width across on the print'));
  const print = await printed(workshop);
  await hand.given(print.across);
  await hand.press('Tab');
  await hand.given(print.along);
  for (const box of await gate.getByRole('checkbox').all()) await hand.click(box);
  await hand.click(gate.getByRole('button', { name: 'Clear to cut' }));
  await expect(page.getByText('● Clear to cut')).toBeVisible();
  hand.tell('from arrival to clear to cut');
  expect(hand.clicks).toBeLessThanOrEqual(80);
  expect(hand.keys).toBeLessThanOrEqual(120);
});

test('four tuners, one strap pin and one pot hole, decided and ordered: at most 35 clicks', async ({ page, workshop }) => {
  await putOnShelf(workshop, TASK_PARTS);
  await moveIn(page, workshop);
  await page.goto(`${workshop.url}/instruments/start`);
  await page.locator('.kinds label').filter({ hasText: 'Bass' }).click();
  await page.getByLabel('Label').fill('Bittern');
  await page.getByLabel('Job').fill('New hardware');
  await page.getByRole('button', { name: 'Add instrument' }).click();
  const hand = new Hand(page);
  await hand.click(page.getByRole('link', { name: 'Choose a part' }));
  await hand.click(page.getByRole('button', { name: 'Start with another part' }));
  const add = page.locator('rn-add-choice');
  const check = add.getByRole('button', { name: 'Check the fit' });

  // four tuners at once: the holes are there
  await hand.choose(add.getByLabel('Place'), 'all 4 tuner holes');
  await hand.click(check);
  await hand.click(page.getByRole('button', { name: 'Add place' }));
  // a new hole for the pot
  await hand.choose(add.getByLabel('Place'), 'new hole …');
  await hand.click(check);
  // and one for the strap pin, on the side
  await hand.click(page.getByRole('button', { name: 'Add place' }));
  await hand.choose(add.getByLabel('Place'), 'new hole …');
  await hand.choose(add.getByLabel('Kind of hole'), 'screw');
  await hand.choose(add.getByLabel('Face'), 'side');
  await hand.click(check);

  // one way out for the tuners, one for the pot, one for the pin; each with its reason
  const remedies = page.locator('rn-remedy-list');
  const choose = async (place: string, way: string, ending: string): Promise<void> => {
    await hand.click(page.locator('[data-choice]').filter({ hasText: place }));
    const one = remedies.locator(`[data-remedy^="${way}"]`);
    await hand.click(one.getByRole('button', { name: 'Choose option …' }));
    await expect(one.getByLabel('Reason')).toBeFocused();
    await hand.says('as asked');
    await hand.click(one.getByRole('button', { name: ending }));
    await expect(page.locator('[data-choice]').filter({ hasText: place })).toContainText('decided');
  };
  await choose('Tuner 1', 'sleeve', 'Choose for all 4');
  await expect(page.locator('[data-choice]').filter({ hasText: 'decided' })).toHaveCount(4);
  await choose('New pot hole', 'drillNew', 'Choose this option');
  await choose('New screw hole', 'drillNew', 'Choose this option');
  await hand.click(page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Order' }));
  await expect(page.getByText('No rule is broken')).toBeVisible();
  await expect(
    page
      .locator('[data-operation]')
      .filter({ hasText: /\d tuner/ })
      .first(),
  ).toBeVisible();
  hand.tell('four tuners, a strap pin and a pot hole');
  expect(hand.clicks).toBeLessThanOrEqual(35);
});

const TASK_PARTS = ['Modern tuner, screwed bushing', 'Pot 500 k, short bushing', 'Strap pin'];

/** Reads what is asked for, first and second, from the field that has the focus to the last one. */
async function readAll(hand: Hand, widths: { readonly across: string; readonly along: string }): Promise<void> {
  const { page } = hand;
  const open = page.locator('.readings [aria-expanded=true]');
  const asked = (): Promise<string> =>
    page.evaluate(() => {
      const row = document.querySelector('.readings [aria-expanded=true]');
      return row ? `${row.getAttribute('data-target')} ${document.querySelectorAll('rn-second-reading').length}` : '';
    });
  await open.waitFor();
  for (let now = await asked(); now !== '';) {
    if (now.endsWith('1')) await hand.press('Space');
    await expect(page.locator('rn-reading-entry rn-length-field input').first()).toBeFocused();
    await hand.given(now.startsWith('checkWidthAcross') ? widths.across : widths.along);
    await hand.press('Enter');
    const before = now;
    await expect.poll(asked).not.toBe(before);
    now = await asked();
  }
}

/** What is read on the print: how wide and how long the planned route is, from the plan's own vertices. */
async function printed(workshop: Workshop): Promise<{ readonly across: string; readonly along: string }> {
  interface Level {
    readonly outline: { readonly vertices: readonly { readonly x: number; readonly y: number }[] };
  }
  const { document } = (await workshop.db('plans').first()) as { document: { choices: { route: { levels: Level[] } }[] } };
  const all = document.choices.flatMap((c) => c.route.levels.flatMap((l) => l.outline.vertices));
  const over = (of: readonly number[]): string => (Math.max(...of) - Math.min(...of)).toFixed(1);
  return { across: over(all.map((v) => v.x)), along: over(all.map((v) => v.y)) };
}
