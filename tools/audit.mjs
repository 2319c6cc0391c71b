// npm run audit: what takes too long for every run of the specs. 100,000 requests of junk over every route and 2,000 random sequences of work, 50 of them more with kills, by a seed that is told, every page at the sizes that it is looked at in, every preset of the circuits on an independent simulator, then every mutant of the core.
import path from 'node:path';
import { buildIfStale } from './lib/build.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { command, root, say } from './lib/say.mjs';

const REQUESTS = 100_000;
const SEQUENCES = 2000;
const KILLED = 50;

await command(async () => {
  const seed = process.env.RINNOVO_FUZZ_SEED ?? String(Date.now() % 1_000_000);
  say(`Junk over every route and sequences of work, seed ${seed}: RINNOVO_FUZZ_SEED=${seed} repeats it.`);
  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg-test', fast: true });
  try {
    await run(process.execPath, ['tools/jasmine.mjs', 'server', 'junk over every route'], {
      cwd: root,
      env: { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url, RINNOVO_FUZZ: String(REQUESTS), RINNOVO_FUZZ_SEED: seed },
      must: 'A request of junk was answered wrongly: it is told above.',
    });
    await run(process.execPath, ['tools/jasmine.mjs', 'server', '', 'src/**/*.search.ts'], {
      cwd: root,
      env: {
        DATABASE_URL: process.env.DATABASE_URL ?? cluster.url,
        RINNOVO_MODEL: String(SEQUENCES),
        RINNOVO_MODEL_KILLS: String(KILLED),
        RINNOVO_MODEL_SEED: seed,
      },
      must: 'A sequence of work ended wrongly: it is told above.',
    });
    await buildIfStale();
    await run(process.execPath, [path.join(root, 'node_modules/@playwright/test/cli.js'), 'test', '-c', 'playwright.audit.config.ts'], {
      cwd: path.join(root, 'e2e'),
      env: { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url },
      must: 'A page scrolls sideways, or is not accessible, at one of its sizes: it is told above.',
    });
  } finally {
    await cluster?.stop();
  }
  await run(process.execPath, ['tools/jasmine.mjs', 'core', 'independent simulator'], {
    cwd: root,
    env: { RINNOVO_DECKS: 'all' },
    must: 'A circuit is not what an independent simulator makes of it: it is told above.',
  });
  await run(process.execPath, ['tools/mutate.mjs', '--all'], { cwd: root, must: 'More mutants live than may: they are told above.' });
});
