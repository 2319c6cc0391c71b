import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** No violation of WCAG 2.2 A and AA on the page as it stands. */
export async function expectAccessible(page: Page, what: string): Promise<void> {
  // what is still fading in has no contrast of its own yet
  await page.evaluate(async () => {
    const running = document.getAnimations().filter((a) => a.effect?.getComputedTiming().endTime !== Infinity);
    await Promise.allSettled(running.map((a) => a.finished));
  });
  // what is half faded in has no contrast of its own yet
  await page.waitForFunction(() => document.getAnimations().every((x) => x.playState !== 'running' || x.effect?.getComputedTiming().endTime === Infinity));
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  const said = violations.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} — ${n.failureSummary ?? ''}`).join(' | ')}`);
  expect(said, what).toEqual([]);
}
