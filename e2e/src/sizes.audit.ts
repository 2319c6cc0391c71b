// Every page at the sizes a workshop has: a telephone, a tablet upright, a laptop, and a laptop at 200 %: nothing scrolls sideways, and axe finds nothing.
import { foundBy } from './axe.js';
import { BASS, chooseReroute, LEFT, SANDERLING, TWO_PICKUPS } from './scenes.js';
import { expect, FIRST, test } from './workshop.js';

const PAGES: readonly (readonly [string, string])[] = [
  ['instruments', '/instruments'],
  ['start', '/instruments/start'],
  ['shelf', '/shelf'],
  ['buy', '/shop'],
  ['drawers', '/shop/drawers'],
  ['tools', '/shop/tools'],
  ['settings', '/shop/settings'],
  ['people', '/shop/people'],
  ['about', `/i/${FIRST}/about`],
  ['anatomy', `/i/${FIRST}/anatomy`],
  ['survey', `/i/${FIRST}/survey`],
  ['inspection', `/i/${FIRST}/survey/inspection`],
  ['findings', `/i/${LEFT}/survey/findings`],
  ['to measure', `/i/${LEFT}/survey/to-measure`],
  ['compare', `/i/${BASS}/survey/compare`],
  ['fit', `/i/${FIRST}/fit`],
  ['fit, hardware', `/i/${SANDERLING}/fit`],
  ['cut', `/i/${FIRST}/cut`],
  ['gate', `/i/${FIRST}/cut?show=gate`],
  ['cutting plan', `/i/${FIRST}/cut?show=cutting`],
  ['holes', `/i/${SANDERLING}/cut/holes`],
  ['test sheet', `/i/${TWO_PICKUPS}/wire`],
  ['circuit', `/i/${TWO_PICKUPS}/wire/circuit`],
  ['no circuit', `/i/${LEFT}/wire`],
  ['response', `/i/${TWO_PICKUPS}/wire/response`],
  ['order', `/i/${FIRST}/order`],
  ['bench', `/i/${FIRST}/bench`],
  ['record', `/i/${FIRST}/record`],
];

const SIZES = [
  { name: '360', width: 360, height: 740, scale: 1 },
  { name: '768', width: 768, height: 1024, scale: 1 },
  { name: '1280', width: 1280, height: 800, scale: 1 },
  { name: '200 %', width: 640, height: 400, scale: 2 },
  { name: '2560', width: 2560, height: 1300, scale: 1 },
] as const;

for (const { name, width, height, scale } of SIZES)
  test(`every page at ${name}`, async ({ browser, workshop }) => {
    const context = await browser.newContext({ viewport: { width, height }, deviceScaleFactor: scale });
    const page = await context.newPage();
    await page.setViewportSize({ width: 1280, height: 800 });
    await chooseReroute(page, workshop.url);
    await page.setViewportSize({ width, height });
    const wrong: string[] = [];
    for (const [what, path] of PAGES) {
      await page.goto(`${workshop.url}${path}`);
      await page.waitForTimeout(1200);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      if (over > 1) wrong.push(`${what}: ${over}px`);
      if (process.env['LOOK']) await page.screenshot({ path: `/tmp/sizes/${name.replace(/\W/g, '')}-${what.replace(/\W/g, '-')}.png` });
      if (!process.env['NO_AXE']) wrong.push(...(await foundBy(page)).map((v) => `${what}: ${v}`));
    }
    await context.close();
    expect(wrong).toEqual([]);
  });
