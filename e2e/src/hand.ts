// What a hand does, counted: clicks and keys. Digits and names that are typed anyway count for nothing; what is said in sentences counts key by key.
import type { Locator, Page } from '@playwright/test';

export class Hand {
  clicks = 0;
  keys = 0;

  constructor(readonly page: Page) {}

  async click(what: Locator): Promise<void> {
    await what.click();
    this.clicks += 1;
  }

  /** Clicks into a field: its label lies over it while it is empty, and leads there as well. */
  async into(field: Locator): Promise<void> {
    await field.click({ force: true });
    this.clicks += 1;
  }

  /** Chooses in a list: one click opens it, one chooses. */
  async choose(list: Locator, option: string | RegExp): Promise<void> {
    await this.click(list);
    await this.click(this.page.getByRole('option', { name: option }));
  }

  async press(key: string): Promise<void> {
    await this.page.keyboard.press(key);
    this.keys += 1;
  }

  /** Types a number or a name where the focus is. */
  async given(text: string): Promise<void> {
    await this.page.keyboard.type(text);
  }

  /** Types a reason or an answer where the focus is. */
  async says(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }

  tell(task: string): void {
    console.log(`${task}: ${this.clicks} clicks, ${this.keys} keys`);
  }
}
