// Builds the server and the application once; again only when a source changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { run } from './run.mjs';
import { root, say } from './say.mjs';

const stamp = path.join(root, '.data', 'built');
const NODE_ROOMS = ['core', 'words', 'contract', 'demo', 'server'];

export const webRoot = path.join(root, 'web', 'dist', 'browser');
export const serverMain = path.join(root, 'server', 'dist', 'main.js');

export async function buildIfStale() {
  const now = sourceHash();
  const built = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (built === now && existsSync(serverMain) && existsSync(path.join(webRoot, 'index.html'))) return false;
  rmSync(stamp, { force: true });
  say('Building (about a minute) …');
  for (const room of NODE_ROOMS) await tsc(room);
  await run(process.execPath, [path.join(root, 'node_modules/@angular/cli/bin/ng.js'), 'build'], {
    cwd: path.join(root, 'web'),
    quiet: true,
    env: { NG_BUILD_PARALLEL_TS: '0', NG_CLI_ANALYTICS: 'false' },
    must: 'The application could not be built: the message is above.',
  });
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
  return true;
}

export function tsc(room) {
  return run(process.execPath, [path.join(root, 'node_modules/typescript/bin/tsc'), '-p', 'tsconfig.build.json'], {
    cwd: path.join(root, room),
    quiet: true,
    must: `${room} could not be built: the message is above.`,
  });
}

function sourceHash() {
  const hash = createHash('sha256');
  const add = (file) => hash.update(file.slice(root.length)).update(readFileSync(file));
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
      const full = path.join(folder, entry.name);
      if (entry.isDirectory()) walk(full);
      else if (!/\.(spec|bench)\.ts$/.test(entry.name)) add(full);
    }
  };
  for (const room of [...NODE_ROOMS, 'web']) {
    walk(path.join(root, room, 'src'));
    for (const name of ['package.json', 'tsconfig.json', 'tsconfig.build.json', 'tsconfig.app.json', 'tsconfig.worker.json', 'angular.json']) {
      const file = path.join(root, room, name);
      if (existsSync(file)) add(file);
    }
  }
  add(path.join(root, 'package-lock.json'));
  add(path.join(root, 'tsconfig.base.json'));
  return hash.digest('hex');
}
