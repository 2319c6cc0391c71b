// npm run dev: the server from its sources, restarted when they change, and the application with live reload.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { keep } from './lib/run.mjs';
import { command, root, say } from './lib/say.mjs';
import { ended } from './lib/server.mjs';

await command(async () => {
  checkMachine();
  await ensurePackages();
  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg' });
  const env = { ...process.env, DATABASE_URL: process.env.DATABASE_URL ?? cluster.url, RINNOVO_PORT: '4681', RINNOVO_LOG: 'info', NG_CLI_ANALYTICS: 'false' };
  const start = (args, cwd) => keep(spawn(process.execPath, args, { cwd, env, stdio: 'inherit' }));
  try {
    const server = start(['--conditions=rinnovo-source', '--import', 'tsx', '--watch', '--watch-preserve-output', 'src/main.ts'], path.join(root, 'server'));
    const web = start([path.join(root, 'node_modules/@angular/cli/bin/ng.js'), 'serve', '--port', '4682'], path.join(root, 'web'));
    say('The application with reload: http://127.0.0.1:4682 (its API on 4681)');
    await Promise.race([ended(server), ended(web)]);
  } finally {
    if (cluster && !cluster.adopted) await cluster.stop().catch(() => undefined);
  }
});
