// Runs a command with DATABASE_URL set to the test cluster: node tools/with-postgres.mjs npm test -w server
import { ensureCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { command } from './lib/say.mjs';

await command(async () => {
  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg-test', fast: true });
  const [program, ...args] = process.argv.slice(2);
  try {
    const { code } = await run(program, args, { env: { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url } });
    process.exitCode = code;
  } finally {
    await cluster?.stop();
  }
});
