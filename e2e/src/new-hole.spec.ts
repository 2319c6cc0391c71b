// A hole that is not there yet: begun where such holes go, pulled by hand to where it can be, and decided.
import { SANDERLING } from './scenes.js';
import { expect, test } from './workshop.js';

test('a new hole clashes with the one beside it, is pulled clear of it by hand, and becomes work', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/i/${SANDERLING}/fit`);
  await page.getByRole('button', { name: 'Add place' }).click();
  await page.getByLabel('Place', { exact: true }).click();
  await page.getByRole('option', { name: 'new hole' }).click();
  // it begins over the control cavity; what is no length is said beside it, and a part is asked for
  await expect(page.getByLabel('Centre, offset across')).toHaveValue('84');
  await page.getByRole('button', { name: 'Check the fit' }).click();
  await expect(page.getByRole('alert')).toContainText('Choose the part');
  await page.getByLabel('Part to fit').click();
  await page.getByRole('option', { name: 'Pot 500 k, long bushing' }).click();
  await page.getByLabel('Centre, offset across').fill('wide');
  await page.getByRole('button', { name: 'Check the fit' }).click();
  await expect(page.locator('rn-add-choice')).toContainText('Not a length');
  await page.getByLabel('Centre, offset across').fill('84');
  await page.getByRole('button', { name: 'Check the fit' }).click();

  const beside = page.getByRole('region', { name: 'Verdicts' }).locator('[data-verdict^="holeBeside"]').first();
  await expect(beside).toContainText('New hole to the volume hole');
  await expect(beside).toContainText('−');
  await expect(page.locator('rn-place-list [aria-current=true]')).toBeInViewport();

  const part = page.locator('[data-moving]');
  const view = page.locator('rn-plan-view svg');
  const box = (await part.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const pixels = await view.evaluate((svg) => (svg as SVGSVGElement).getScreenCTM()!.a);
  const seen = async (): Promise<(string | null)[]> => [await view.getAttribute('viewBox'), await view.locator('> g').getAttribute('transform')];
  const before = await seen();
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 16 * pixels, y - 46 * pixels, { steps: 12 });
  await page.mouse.up();
  // the map stays where it is, the part is where the hand left it
  expect(await seen()).toEqual(before);
  await expect(part).toHaveAttribute('transform', /translate\((99|100)(\.\d+)? (215|216)(\.\d+)?\)/);
  await expect(page.getByRole('region', { name: 'Verdicts' }).locator('li.clashes')).toHaveCount(0);

  const drill = page.locator('[data-remedy^="drillNew"]');
  await expect(drill).toContainText('Drill a hole of');
  await drill.getByRole('button', { name: 'Choose option …' }).click();
  await drill.getByLabel('Reason').fill('a blend control that she asked for');
  await drill.getByRole('button', { name: 'Choose this option' }).click();
  await expect(page.locator('rn-decision-made')).toContainText('a blend control');
  await page.getByRole('link', { name: 'Open Order' }).click();
  await expect(page.getByText('Drill the hole').first()).toBeVisible();
  await page.goto(`${workshop.url}/i/${SANDERLING}/record`);
  await expect(page.getByText('New pot hole').first()).toBeVisible();
});
