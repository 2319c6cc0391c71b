// A circuit is traced lug by lug, its sheet metered with the simulated meter, and what does not agree says what it may mean; an active bass; the response follows its sliders.
import { expect, type Page } from '@playwright/test';
import { BASS, LEFT } from './scenes.js';
import { test } from './workshop.js';

async function pick(page: Page, label: string, option: RegExp | string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('a circuit is traced, metered and found wanting', async ({ page, workshop }) => {
  test.setTimeout(120_000);
  const { url } = workshop;
  await page.goto(`${url}/i/${LEFT}/wire`);
  await page.getByRole('link', { name: 'Choose a circuit' }).click();

  // wrong input is answered beside its field, and nothing is lost
  await page.getByRole('button', { name: 'Add pickup' }).click();
  await page.getByRole('button', { name: 'Add pickup' }).click();
  await pick(page, 'Pickup 1', /Fennel slim/);
  await pick(page, 'Pickup 2', /Morrow two-coil/);
  await pick(page, 'Circuit', 'Two pickups, toggle, one volume and tone');
  const volume = page.getByLabel('Volume pots');
  await volume.fill('lots');
  await page.getByRole('button', { name: 'Trace from these parts' }).click();
  await expect(page.getByRole('alert')).toHaveText(/Not a resistance/);
  await volume.fill('1k');
  await page.getByRole('button', { name: 'Trace from these parts' }).click();
  await expect(page.getByRole('alert')).toHaveText(/Did you mean 1\.00\sMΩ/);
  await volume.fill('500k');
  await page.getByRole('button', { name: 'Trace from these parts' }).click();
  await expect(page.getByText(/0 of \d+ terminals traced/)).toBeVisible();

  // lug by lug, as the wires go; the left-handed volume goes up towards its first lug
  const lug = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}( \\(\\w+\\))?: `) });
  const join = async (a: string, b: string): Promise<void> => {
    await lug(a).click();
    await lug(b).click();
  };
  await join('Pickup 1, north finish', 'Pickup 1, south finish');
  await join('Pickup 1, south start', 'Volume, case');
  await join('Pickup 2, first finish', 'Pickup 2, second start');
  await join('Pickup 2, second finish', 'Volume, case');
  await join('Pickup 2, shield', 'Volume, case');
  await join('Pickup 1, north start', 'Selector, A');
  await join('Pickup 2, first start', 'Selector, B');
  await join('Selector, C', 'Volume, lug 1');
  await join('Volume, lug 3', 'Volume, case');
  await join('Volume, lug 2', 'Jack, tip');
  // a reload takes nothing of it
  await page.reload();
  await expect(page.getByText('Changed and not saved yet.')).toBeVisible();
  await join('Volume, lug 1', 'Tone, lug 2');
  await join('Tone, lug 3', 'Tone capacitor, 1');
  await join('Tone capacitor, 2', 'Tone, case');
  await join('Tone, case', 'Volume, case');
  await join('Selector, frame', 'Volume, case');
  await join('String ground, metal', 'Volume, case');
  await join('Jack, sleeve', 'Volume, case');
  await lug('Tone, lug 1').click();
  await page.getByRole('button', { name: 'Nothing on it' }).click();
  await expect(page.getByText(/(\d+) of \1 terminals traced/)).toBeVisible();
  await page.getByRole('button', { name: 'Save circuit' }).first().click();
  await expect(page.getByText('Changed and not saved yet.')).toBeHidden();

  // the sheet: a sound part first, typed a thousand times too small, then position by position with a coil that is open
  await page.getByRole('link', { name: 'Test sheet' }).click();
  const line = (name: string, stage: string) => page.locator('table').nth(['part', 'harness', 'body', 'string'].indexOf(stage)).getByRole('row', { name });
  const coil = line('Pickup 1: north start to north finish', 'part');
  await coil.getByRole('textbox').fill('3.9R');
  await coil.getByRole('textbox').press('Enter');
  await expect(coil.getByRole('alert')).toHaveText(/Did you mean 3\.90\skΩ/);
  await coil.getByRole('textbox').fill('3.9');
  await coil.getByRole('textbox').press('Enter');
  await expect(coil).toContainText('Agrees');

  await page.getByRole('button', { name: 'Simulated meter' }).click();
  await pick(page, 'Circuit on the bench', /Coil open: Pickup 2, first/);
  for (const [position, result] of [
    ['Position 1', 'Agrees'],
    ['Position 3', 'Too high'],
  ] as const) {
    const row = line(position, 'body').first();
    await row.getByRole('button', { name: 'Probe' }).click();
    await expect(row).toContainText('simulated meter', { timeout: 10_000 });
    await expect(row).toContainText(result);
  }
  const off = line('Position 3', 'body').first();
  await expect(off).toContainText('Pickup 2: coil first or second is open. Meter its leads at the switch.');
  await expect(page.getByText('1 not as predicted.')).toBeVisible();
  // two tabs: what the other one read stands here after a reload, and says that it was simulated
  await page.reload();
  await expect(line('Position 3', 'body').first()).toContainText('simulated meter');
});

test('an active bass tells what the meter cannot, and what its cell gives', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${BASS}/wire`);
  await expect(page.getByText('The preamp lies between: no resistance to predict').first()).toBeVisible();
  const supply = page.getByRole('row', { name: 'Supply current, plugged in' });
  await supply.getByRole('textbox').fill('0.8');
  await supply.getByRole('textbox').press('Enter');
  await expect(supply).toContainText('Agrees');
  const unplugged = page.getByRole('row', { name: 'Supply current, unplugged' });
  await unplugged.getByRole('textbox').fill('0.7');
  await unplugged.getByRole('textbox').press('Enter');
  await expect(unplugged).toContainText('Too high');
});

test('the response follows its sliders, and a deck from elsewhere is checked', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${BASS}/wire/response`);
  const row = page.getByRole('row', { name: /Everything full up/ });
  await expect(row).toContainText('Peak at');
  await page.getByRole('slider', { name: 'Volume' }).fill('0');
  await expect(row).toContainText('silent');
  await page.getByLabel(/Check a deck/).setInputFiles({ name: 'x.cir', mimeType: 'text/plain', buffer: Buffer.from('* t\nR1 a 0 1k\n.include other.cir\n') });
  await expect(page.getByRole('alert')).toHaveText(/Line 3 .*commands and other files are not read/);
  await page
    .getByLabel(/Check a deck/)
    .setInputFiles({ name: 'x.cir', mimeType: 'text/plain', buffer: Buffer.from('* divider\nV1 a 0 AC 1\nR1 a b 1k\nR2 b 0 1k\n.end\n') });
  await expect(page.getByText('divider: 3 elements.')).toBeVisible();
  await expect(page.getByText('−6.02').first()).toBeVisible();
});
