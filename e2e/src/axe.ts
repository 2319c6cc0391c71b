import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** No violation of WCAG 2.2 A and AA on the page as it stands. */
export async function expectAccessible(page: Page, what: string): Promise<void> {
  await stillness(page);
  let said = await violations(page);
  if (said.length > 0 && said.every((v) => v.startsWith('color-contrast: .mdc-snackbar'))) {
    // a toast may begin to fade while the page is being read: its contrast, and nothing else, is looked for once more when all is still again
    await stillness(page);
    said = await violations(page);
  }
  expect(said, what).toEqual([]);
}

/** What is still fading has no contrast of its own yet; an animation that was paused or hidden never ends, and is not waited for longer. */
async function stillness(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const running = document.getAnimations().filter((a) => a.effect?.getComputedTiming().endTime !== Infinity);
    await Promise.race([Promise.allSettled(running.map((a) => a.finished)), new Promise((done) => setTimeout(done, 4000))]);
  });
}

async function violations(page: Page): Promise<readonly string[]> {
  const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} — ${n.failureSummary ?? ''}`).join(' | ')}`);
}
