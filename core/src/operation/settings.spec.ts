import { readdirSync, readFileSync } from 'node:fs';
import { DEFAULT_SETTINGS, SETTING_KEYS } from './index.js';

describe('the source of a setting', () => {
  it('is a heading in the trade docs', () => {
    const folder = new URL('../../../docs/trade/', import.meta.url);
    const pages = readdirSync(folder).map((f) => readFileSync(new URL(f, folder), 'utf8').replace(/\n +/g, ' '));
    for (const key of SETTING_KEYS) {
      const { ref } = DEFAULT_SETTINGS[key];
      expect(pages.some((p) => p.includes(`\n${ref.slice(0, 20)}`)))
        .withContext(`${key}: ${ref}`)
        .toBeTrue();
    }
  });
});
