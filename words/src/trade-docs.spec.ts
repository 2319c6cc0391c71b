import { readFileSync } from 'node:fs';
import { TRADE_TABLES, withTables } from './testing/trade-tables.js';

describe('the tables of the trade docs', () => {
  it('are those of the rows; `npm run docs` re-makes them', () => {
    for (const file of new Set(TRADE_TABLES.map((t) => t.file))) {
      const page = readFileSync(new URL(`../../docs/trade/${file}`, import.meta.url), 'utf8');
      expect(withTables(file, page)).withContext(file).toBe(page);
    }
  });
});
