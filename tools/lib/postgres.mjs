// A private PostgreSQL cluster of this project: found or installed, made, started or adopted, stopped.
import { createHash } from 'node:crypto';
import { accessSync, chownSync, constants, existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import path from 'node:path';
import { ensureDebian } from './debian.mjs';
import { run } from './run.mjs';
import { Plain, root, say } from './say.mjs';

const ROLE = 'rinnovo';
const asRoot = process.getuid?.() === 0;

/** The folder with initdb and pg_ctl: the newest of Debian's, else the PATH's; null when there is none. */
export function binaries() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).filter((v) => /^\d+$/.test(v)) : [];
  const folders = versions.sort((a, b) => Number(b) - Number(a)).map((v) => `${base}/${v}/bin`);
  return [...folders, ...(process.env.PATH ?? '').split(':')].find((f) => existsSync(`${f}/initdb`) && existsSync(`${f}/pg_ctl`)) ?? null;
}

/**
 * Makes sure a cluster runs and says how to reach it. `name` is its folder in .data; `fast` gives up safety on a crash and is for tests only.
 * A running one is adopted; `stop` ends it only when it was started here.
 */
export async function ensureCluster({ name, fast = false }) {
  await ensureDebian(['postgresql'], () => binaries() !== null, 'the PostgreSQL server');
  const bin = binaries();
  const folder = dataFolder(name);
  const socket = socketFolder(folder);
  if (!existsSync(path.join(folder, 'PG_VERSION'))) {
    say('Making a private database cluster …');
    rmSync(folder, { recursive: true, force: true });
    own(folder);
    await as(
      bin,
      'initdb',
      ['-D', folder, '-U', ROLE, '--auth=trust', '-E', 'UTF8', '--locale=C.UTF-8', ...(fast ? ['-N'] : [])],
      'The database cluster could not be made: the message is above.',
    );
  }
  own(socket);
  const running = (await as(bin, 'pg_ctl', ['-D', folder, 'status'])).code === 0;
  if (!running) {
    clearStalePid(folder);
    const options = [
      `-c listen_addresses=''`,
      `-c unix_socket_directories='${socket}'`,
      '-c max_connections=40',
      ...(fast ? ['-c fsync=off', '-c synchronous_commit=off', '-c full_page_writes=off'] : []),
    ];
    await as(
      bin,
      'pg_ctl',
      ['-D', folder, '-w', '-t', '60', '-l', path.join(folder, 'server.log'), '-o', options.join(' '), 'start'],
      `The database did not start: see ${folder}/server.log.`,
    );
  }
  return {
    url: `postgresql:///postgres?host=${encodeURIComponent(socket)}&user=${ROLE}`,
    adopted: running,
    folder,
    stop: async () => {
      if (!running) await as(bin, 'pg_ctl', ['-D', folder, '-m', 'fast', '-w', 'stop']);
    },
  };
}

/** .data of the project, or /var/lib when the postgres user cannot get there. */
function dataFolder(name) {
  const here = path.join(root, '.data', name);
  if (!asRoot) {
    mkdirSync(path.dirname(here), { recursive: true });
    return here;
  }
  mkdirSync(path.dirname(here), { recursive: true });
  try {
    execFileSync('setpriv', [...identity(), 'test', '-x', path.dirname(here)], { stdio: 'ignore' });
    return here;
  } catch {
    return path.join('/var/lib', `rinnovo-${mark(root)}`, name);
  }
}

/** Socket paths are short by law of the system: 107 characters. */
function socketFolder(folder) {
  return path.join('/tmp', `rinnovo-${mark(folder)}`);
}

function mark(text) {
  return createHash('sha256').update(text).digest('hex').slice(0, 10);
}

function own(folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (!asRoot) return accessSync(folder, constants.W_OK);
  const { uid, gid } = postgresUser();
  chownSync(folder, uid, gid);
}

function postgresUser() {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'));
  if (!line) throw new Plain('There is no postgres user on this machine, and the database refuses to run as root.');
  const [, , uid, gid] = line.split(':');
  return { uid: Number(uid), gid: Number(gid) };
}

function identity() {
  const { uid, gid } = postgresUser();
  return [`--reuid=${uid}`, `--regid=${gid}`, '--clear-groups'];
}

function as(bin, program, args, must = null) {
  const full = path.join(bin, program);
  const [command, list] = asRoot ? ['setpriv', [...identity(), full, ...args]] : [full, args];
  return run(command, list, { quiet: true, must, cwd: '/', env: { LC_ALL: 'C.UTF-8' } });
}

/** A pid file that no server stands behind is left from a crash. */
function clearStalePid(folder) {
  rmSync(path.join(folder, 'postmaster.pid'), { force: true });
}
