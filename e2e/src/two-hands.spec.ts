// Two tabs edit one plan; a browser whose numbers differ from the server's.
import { expect, FIRST, test } from './workshop.js';

const JOB = '00000000-0000-4000-8000-000000000021';

test('two tabs: the later one is stated, both versions are shown, nothing is lost', async ({ page, context, workshop }) => {
  const other = await context.newPage();
  for (const p of [page, other]) {
    await p.goto(`${workshop.url}/i/${FIRST}/fit`);
    await expect(p.getByRole('region', { name: 'Verdicts' }).getByText('5 clashes')).toBeVisible();
  }
  const choose = async (p: typeof page, leads: string): Promise<void> => {
    await p.getByLabel('Leads').click();
    await p.getByRole('option', { name: leads, exact: true }).click();
  };
  await choose(page, '2');
  await expect(page.locator('.saving')).toHaveText('saved');
  await choose(other, '5');
  const conflict = other.getByRole('alert', { name: 'Two versions of the plan' });
  await expect(conflict).toContainText('(2)');
  await expect(conflict).toContainText('My version');
  await conflict.getByRole('button', { name: 'Keep my version' }).click();
  await expect(other.locator('.saving')).toHaveText('saved');
  const row = (await workshop.db('plans').where({ job: JOB }).first()) as { version: number; document: { choices: { leadsNeeded: number }[] } };
  expect([row.version, row.document.choices[0]!.leadsNeeded]).toEqual([3, 5]);
});

test('numbers that differ are refused with both sides, and nothing of the browser is stored', async ({ page, workshop }) => {
  await page.route('**/api/decisions/*', async (route) => {
    const body = route.request().postDataJSON() as { seen: { clearance: number }[] };
    body.seen[0]!.clearance += 0.002;
    await route.continue({ postData: JSON.stringify(body) });
  });
  await page.goto(`${workshop.url}/i/${FIRST}/fit`);
  const reroute = page.locator('[data-remedy^="reroute"]');
  await reroute.getByRole('button', { name: 'Choose option …' }).click();
  await reroute.getByLabel('Reason').fill('because');
  const [response] = await Promise.all([page.waitForResponse('**/api/decisions/*'), reroute.getByRole('button', { name: 'Choose this option' }).click()]);
  expect(response.status()).toBe(409);
  const problem = (await response.json()) as { current: unknown[]; yours: unknown[] };
  expect(problem.current.length).toBe(problem.yours.length);
  await expect(reroute.getByRole('alert')).toContainText('different numbers');
  await expect(reroute.getByLabel('Reason')).toHaveValue('because');
  expect(await workshop.db('decisions').count('* as n').first()).toEqual({ n: '0' });
});
