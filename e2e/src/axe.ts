import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** No violation of WCAG 2.2 A and AA on the page as it stands. */
export async function expectAccessible(page: Page, what: string): Promise<void> {
  expect(await foundBy(page), what).toEqual([]);
}

/** What stands against WCAG 2.2 A and AA on the page as it stands, once it is still. */
export async function foundBy(page: Page): Promise<readonly string[]> {
  await stillness(page);
  let said = await violations(page);
  if (said.length > 0 && said.every((v) => v.startsWith('color-contrast: .mdc-snackbar'))) {
    // a toast may begin to fade while the page is being read: its contrast, and nothing else, is looked for once more when all is still again
    await stillness(page);
    said = await violations(page);
  }
  return said;
}

/** What is still fading has no contrast of its own yet. Asked of its state, not of its promise: that of an animation which was begun again never comes. */
async function stillness(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    document.getAnimations().every((a) => a.effect?.getComputedTiming().endTime === Infinity || a.playState === 'finished' || a.playState === 'idle'),
  );
}

async function violations(page: Page): Promise<readonly string[]> {
  const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} — ${n.failureSummary ?? ''}`).join(' | ')}`);
}
