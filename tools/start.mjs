// npm start: installs what is missing, builds what changed, opens the workshop and prints its address.
// npm start -- --workshop NAME opens a real workshop of that name instead of the demo.
import { dailyBackup } from './lib/backup.mjs';
import { buildIfStale, serverMain, webRoot } from './lib/build.mjs';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { wasInterrupted } from './lib/run.mjs';
import { command, Plain, say } from './lib/say.mjs';
import { ended, startServer } from './lib/server.mjs';

function workshopName(args) {
  const i = args.indexOf('--workshop');
  if (i === -1) {
    if (args.length > 0) throw new Plain(`'${args[0]}' is unknown: npm start -- --workshop NAME`);
    return 'demo';
  }
  const name = args[i + 1] ?? '';
  if (!/^[a-z][a-z0-9_]{0,39}$/.test(name)) throw new Plain('A workshop needs a name of small letters, digits and _: npm start -- --workshop NAME');
  return name;
}

await command(async () => {
  checkMachine();
  const workshop = workshopName(process.argv.slice(2));
  await ensurePackages();
  await buildIfStale();
  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg' });
  try {
    const { child, port } = await startServer(serverMain, {
      DATABASE_URL: process.env.DATABASE_URL ?? cluster.url,
      RINNOVO_WORKSHOP: workshop,
      RINNOVO_WEB: webRoot,
      RINNOVO_LOG: process.env.RINNOVO_LOG ?? 'warn',
      NODE_ENV: 'production',
    });
    const stopBackups = dailyBackup({ url: process.env.DATABASE_URL ?? cluster.url, workshop });
    say(`Rinnovo is open: http://127.0.0.1:${port}  (workshop '${workshop}'; Ctrl-C closes it)`);
    await ended(child);
    stopBackups();
  } finally {
    if (cluster && !cluster.adopted) {
      if (wasInterrupted()) say('Closing the database …');
      await stopQuietly(cluster);
    }
  }
});

/** Stopping goes on after Ctrl-C, so it must not take the interruption for its own. */
async function stopQuietly(cluster) {
  try {
    await cluster.stop();
  } catch (error) {
    if (!(error instanceof Plain)) throw error;
  }
}
