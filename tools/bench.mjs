// npm run bench: the figures of docs/performance.md. Nothing here is a test.
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { buildIfStale, serverMain, webRoot } from './lib/build.mjs';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { command, root, say } from './lib/say.mjs';
import { ended, startServer } from './lib/server.mjs';

await command(async () => {
  checkMachine();
  await ensurePackages();
  await buildIfStale();
  for (const bench of [
    'src/evaluate.bench.ts',
    'src/plan.bench.ts',
    'src/cut.bench.ts',
    'src/format/drawing.bench.ts',
    'src/survey/findings.bench.ts',
    'src/wire/response.bench.ts',
  ]) {
    await run(process.execPath, ['--conditions=rinnovo-source', '--import', 'tsx', bench], { cwd: path.join(root, 'core') });
  }

  const begun = performance.now();
  const cold = await ensureCluster({ name: 'pg-bench', fast: false });
  const env = { DATABASE_URL: cold.url, RINNOVO_WORKSHOP: 'test_bench', RINNOVO_PORT: '0', RINNOVO_WEB: webRoot, RINNOVO_LOG: 'error' };
  const { child, port } = await startServer(serverMain, env);
  await fetch(`http://127.0.0.1:${port}/`);
  say(`cluster and server to first answer: ${((performance.now() - begun) / 1000).toFixed(1)} s`);
  child.kill('SIGTERM');
  await ended(child);
  await cold.stop();

  const cluster = await ensureCluster({ name: 'pg-test', fast: true });
  try {
    await run(process.execPath, ['--conditions=rinnovo-source', '--import', 'tsx', 'src/load.bench.ts'], {
      cwd: path.join(root, 'server'),
      env: { DATABASE_URL: cluster.url },
    });
    await run(process.execPath, [path.join(root, 'node_modules/@playwright/test/cli.js'), 'test', '-c', 'playwright.bench.config.ts'], {
      cwd: path.join(root, 'e2e'),
      env: { DATABASE_URL: cluster.url },
    });
    // what a hand does for the two tasks that are done most: clicks and keys
    await run(process.execPath, [path.join(root, 'node_modules/@playwright/test/cli.js'), 'test', 'few-clicks'], {
      cwd: path.join(root, 'e2e'),
      env: { DATABASE_URL: cluster.url },
    });
  } finally {
    await cluster.stop();
  }
});
