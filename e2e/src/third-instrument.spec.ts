// A third instrument is typed in with seeded sizes; its verdicts equal a sum made here, independently of the core.
import type { Page } from '@playwright/test';
import { expect, test } from './workshop.js';

/** A repeatable stream of numbers in [0, 1). */
function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a * 1664525 + 1013904223) % 4294967296;
    return a / 4294967296;
  };
}

const tenth = (n: number): number => Math.round(n * 10) / 10;

interface Box {
  readonly w: number;
  readonly h: number;
  readonly r: number;
}

/** Clearance of a rounded box in another with the same middle: sides, and the corner arcs' centres [law]. */
function boxInBox({ w, h, r }: Box, { w: W, h: H, r: R }: Box): number {
  const corner = R - r - Math.hypot(Math.max(0, w / 2 - r - (W / 2 - R)), Math.max(0, h / 2 - r - (H / 2 - R)));
  const beyond = w / 2 - r > W / 2 - R && h / 2 - r > H / 2 - R;
  return Math.min((W - w) / 2, (H - h) / 2, beyond ? corner : Infinity);
}

async function number(page: Page, id: string): Promise<number> {
  const text = await page.locator(`[data-verdict^="${id}"] .number`).innerText();
  return Number(text.split(/\s*mm/)[0]!.replace('−', '-'));
}

for (const seed of [4711]) {
  test(`sizes of seed ${seed} typed in, verdicts equal the sum`, async ({ page, workshop }) => {
    const r = seeded(seed);
    const s = {
      scale: tenth(620 + 40 * r()),
      mouth: tenth(385 + 20 * r()),
      nut: tenth(34.5 + 2 * r()),
      saddles: tenth(51 + 3 * r()),
      thickness: tenth(42 + 6 * r()),
      pocketLength: tenth(68 + 4 * r()),
      route: { y: tenth(104 + 2 * r()), w: tenth(86 + 4 * r()), h: tenth(21 + 3 * r()), d: tenth(16 + 3 * r()) },
      plate: { w: tenth(116 + 6 * r()), h: tenth(56 + 4 * r()) },
      window: { w: 71, h: 40 },
      backDepth: tenth(12 + 2 * r()),
    };
    await page.goto(`${workshop.url}/instruments/start`);
    const fill = async (key: string, value: number): Promise<void> => page.locator(`[data-field="${key}"] input`).fill(String(value));
    await page.getByLabel('Label').fill(`Seeded ${seed}`);
    await page.getByText('More sizes').click();
    await page.getByLabel('Cover over the route').click();
    await page.getByRole('option', { name: 'Plate' }).click();
    await page.getByLabel('Pickup to fit').click();
    await page.getByRole('option', { name: 'Morrow two-coil, full width' }).click();
    await fill('scale', s.scale);
    await fill('nutToMouth', s.mouth);
    await fill('spreadAtNut', s.nut);
    await fill('spreadAtSaddles', s.saddles);
    await fill('pocketLength', s.pocketLength);
    await fill('thickness', s.thickness);
    for (const key of ['route', 'cover', 'window']) await fill(`${key}-y`, s.route.y);
    await fill('route-width', s.route.w);
    await fill('route-height', s.route.h);
    await fill('routeDepth', s.route.d);
    await fill('cover-width', s.plate.w);
    await fill('cover-height', s.plate.h);
    await fill('window-width', s.window.w);
    await fill('window-height', s.window.h);
    await fill('back-x', -40);
    await fill('back-y', s.route.y + 30);
    await fill('back-width', 40);
    await fill('back-height', 90);
    await fill('route-corner', 4.8);
    await fill('cover-corner', 4);
    await fill('window-corner', 3.5);

    // What cannot be is said beside its field, and nothing typed is lost.
    await fill('backDepth', 99);
    await page.getByRole('button', { name: 'Add instrument' }).click();
    await expect(page.locator('[data-field="backDepth"]').getByRole('alert')).toContainText('in a body of');
    await expect(page.locator('[data-field="route-width"] input')).toHaveValue(String(s.route.w));
    await fill('backDepth', s.backDepth);
    await page.getByRole('button', { name: 'Add instrument' }).click();
    await page.getByRole('link', { name: 'Check the fit' }).click();
    await expect(page.locator('rn-verdict-list li').first()).toBeVisible();

    // The pickup's sizes are those of its sheet: base 69.5 × 38.3 r 3, cover 69 × 38 r 3, lowest 16.5, 21.0, 23.0, poles 49.5, rows ± 9.
    const near = async (id: string, wanted: number): Promise<void> => expect(Math.abs((await number(page, id)) - wanted), id).toBeLessThan(0.0051);
    await near('hiddenEdge/bridge route/found', boxInBox({ ...s.route, r: 4.8 }, { ...s.plate, r: 4 }));
    await near('windowGap/', boxInBox({ w: 69, h: 38, r: 3 }, { ...s.window, r: 3.5 }));
    await near('wall/bridge route/found/neck pocket', s.route.y - s.route.h / 2 - s.pocketLength);
    await near('floor/bridge route/found/', s.thickness - s.route.d - s.backDepth);
    await near('depthUnderPart/bridge pickup/ears', s.route.d - 21);
    await near('depthUnderScrews/', s.route.d - 23);
    const spread = (row: number): number => s.nut + ((s.saddles - s.nut) * (s.mouth + s.route.y + row)) / s.scale;
    await near('polesUnderStrings/bridge pickup/row 1', 2.5 - Math.abs(49.5 - spread(-9)) / 2);
    await near('polesUnderStrings/bridge pickup/row 2', 2.5 - Math.abs(49.5 - spread(9)) / 2);
    // The base stands out of the route by the difference of the half heights.
    await near('partInRoute/bridge pickup/base', s.route.h / 2 - 38.3 / 2);

    const row = (await workshop
      .db('instruments')
      .where({ label: `Seeded ${seed}` })
      .first('id')) as { id: string };
    expect(page.url()).toContain(row.id);
    const kept = (await workshop.db('revisions').where({ instrument: row.id }).orderBy('revision').first()) as {
      revision: number;
      document: { body: { thickness: { value: number } } };
    };
    expect([kept.revision, kept.document.body.thickness.value]).toEqual([1, s.thickness]);
  });
}
