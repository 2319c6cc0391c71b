// npm packages: installed when the lock file is not the one that was installed last.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { run } from './run.mjs';
import { Plain, root, say } from './say.mjs';

const stamp = path.join(root, 'node_modules', '.rinnovo-lock');

export function checkMachine() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) throw new Plain(`Node.js 20.19 or later is needed; this is ${process.versions.node}.`);
}

export async function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(path.join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  const free = statfsSync(root);
  if (free.bavail * free.bsize < 1.5e9) throw new Plain('Less than 1.5 GB is free on this disk: make room and start again.');
  say('Installing packages (about a minute) …');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    quiet: true,
    must: 'npm could not install the packages: its message is above.',
  });
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}
