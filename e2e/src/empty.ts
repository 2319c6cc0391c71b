// A workshop that is new: whoever works there, the starter kit, and what the shelf is given.
import { expect, type Page } from '@playwright/test';
import { test as base, Workshop } from './workshop.js';

const root = new URL('../../', import.meta.url).pathname;

/** Specs get a new workshop each, with nothing in it. */
export const test = base.extend<{ workshop: Workshop }>({
  workshop: async ({}, use) => {
    const workshop = await Workshop.open(undefined, false);
    await use(workshop);
    await workshop.close();
  },
});

/** The first person and the starter kit, on the page that asks for them. */
export async function moveIn(page: Page, workshop: Workshop): Promise<void> {
  await page.goto(`${workshop.url}/instruments`);
  await page.getByLabel('Name').fill('Ada Pell');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: /Add \d+ tools/ }).click();
  await expect(page.getByText('What is on your bench?')).toBeHidden();
}

/** Puts some of the invented parts on the shelf and into a drawer. */
export async function putOnShelf(workshop: Workshop, names: readonly string[]): Promise<void> {
  const { demoWorkshop } = (await import(`${root}demo/dist/index.js`)) as { demoWorkshop: { parts: readonly { id: string; name: string }[] } };
  for (const [i, name] of names.entries()) {
    const part = demoWorkshop.parts.find((p) => p.name === name);
    if (!part) throw new Error(`nothing is called ${name}`);
    await workshop.db('parts').insert({ id: part.id, document: JSON.stringify(part) });
    const item = `00000000-0000-4000-8000-00000000f${String(i).padStart(3, '0')}`;
    await workshop.db('stock').insert({ id: item, document: JSON.stringify({ id: item, kind: 'part', part: part.id, drawer: 'A1' }) });
    await workshop.db('movements').insert({ item, amount: 10, why: 'counted' });
  }
}
