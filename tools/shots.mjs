// npm run shots: pictures of the main views from the demo, into docs/screenshots.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { buildIfStale } from './lib/build.mjs';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { command, root } from './lib/say.mjs';

await command(async () => {
  checkMachine();
  await ensurePackages();
  await buildIfStale();
  mkdirSync(path.join(root, 'docs/screenshots'), { recursive: true });
  const cluster = await ensureCluster({ name: 'pg-test', fast: true });
  try {
    await run(process.execPath, [path.join(root, 'node_modules/@playwright/test/cli.js'), 'test', '-c', 'playwright.shots.config.ts'], {
      cwd: path.join(root, 'e2e'),
      env: { DATABASE_URL: cluster.url },
      must: 'The pictures could not be made: the message is above.',
    });
  } finally {
    await cluster.stop();
  }
});
