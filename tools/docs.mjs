// Re-makes the tables of the trade docs from the rows: npm run docs
import { readFileSync, writeFileSync } from 'node:fs';
import { TRADE_TABLES, withTables } from '../words/src/testing/trade-tables.ts';

for (const file of new Set(TRADE_TABLES.map((t) => t.file))) {
  const page = new URL(`../docs/trade/${file}`, import.meta.url);
  writeFileSync(page, withTables(file, readFileSync(page, 'utf8')));
}
