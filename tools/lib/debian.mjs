// Debian packages that are missing, by apt, when root.
import { existsSync } from 'node:fs';
import { mkdirSync, writeFileSync } from 'node:fs';
import { Plain, say } from './say.mjs';
import { run } from './run.mjs';

/** Installs packages unless `present()` says that they are there. */
export async function ensureDebian(packages, present, what) {
  if (present()) return;
  const names = packages.join(' ');
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    throw new Plain(`${what} is missing and only root can install it: apt-get install ${names}`);
  }
  say(`Installing ${what} (${names}) …`);
  if (packages.some((p) => p.startsWith('postgresql'))) keepPackageFromStartingItsOwnCluster();
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-q'], { quiet: true, env });
  await run('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...packages], {
    quiet: true,
    env,
    must: `apt-get refused to install ${names}: its message is above.`,
  });
  if (!present()) throw new Plain(`${what} was installed but is not where it was expected.`);
}

function keepPackageFromStartingItsOwnCluster() {
  const folder = '/etc/postgresql-common';
  const file = `${folder}/createcluster.conf`;
  if (existsSync(file)) return;
  mkdirSync(folder, { recursive: true });
  writeFileSync(file, 'create_main_cluster = false\n');
}
