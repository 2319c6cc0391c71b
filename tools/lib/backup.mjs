// A workshop in one file, photographs included: written, checked, and read back. The file is PostgreSQL's own archive format.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import path from 'node:path';
import { binaries } from './postgres.mjs';
import { run } from './run.mjs';
import { Plain, root, say } from './say.mjs';

/** Days that a daily backup is kept. */
const KEPT = 14;
const ENDING = '.workshop';

/** Where daily backups of a workshop lie, and those without a name. */
export const backupFolder = (workshop) => path.join(root, '.data', 'backups', workshop);

/** What is counted of a workshop when it is told what a backup holds. */
const COUNTED = ['instruments', 'readings', 'ledger', 'photographs'];

/** Writes a workshop into a file and checks the file by reading it back; ends in what it holds. An earlier file of that name is kept until the new one is whole. */
export async function backup({ url, workshop, file }) {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  const part = `${file}.part`;
  try {
    const from = databaseOf(workshop);
    if (!(await exists(url, from))) throw new Plain(`There is no workshop '${workshop}' on this machine.`);
    await tool('pg_dump', ['-Fc', '-f', part, '-d', addressOf(url, from)], `The workshop '${workshop}' could not be written to ${file}.`);
    const held = await withScratch(url, part, (scratch) => contents(url, scratch));
    renameSync(part, file);
    return held;
  } finally {
    rmSync(part, { force: true });
  }
}

/** Reads a backup back as a workshop. One that is there already is replaced only when that is said, and then kept under another name. */
export async function restore({ url, workshop, file, replace }) {
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  const to = databaseOf(workshop);
  const there = await exists(url, to);
  if (there && !replace)
    throw new Plain(
      `The workshop '${workshop}' is there already: restore it under another name (--workshop NAME), or say --replace; the one that is there is then kept.`,
    );
  const scratch = `rinnovo_scratch_${randomBytes(6).toString('hex')}`;
  let done = false;
  try {
    await fill(url, file, scratch);
    const held = await contents(url, scratch);
    const aside = there ? `${to}_until_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}` : null;
    if (aside) await rename(url, to, aside, workshop);
    await rename(url, scratch, to, workshop);
    done = true;
    return { ...held, aside: aside?.replace(/^rinnovo_/, '') ?? null };
  } finally {
    if (!done) await sql(url, 'postgres', `DROP DATABASE IF EXISTS "${scratch}" WITH (FORCE)`);
  }
}

/** While a workshop is open: a backup a day, the last fourteen kept. A day that has one already gets none. Ends in a function that stops it. */
export function dailyBackup({ url, workshop }) {
  const folder = backupFolder(workshop);
  const once = async () => {
    const file = path.join(folder, `${new Date().toISOString().slice(0, 10)}${ENDING}`);
    if (existsSync(file)) return;
    try {
      await backup({ url, workshop, file });
      prune(folder);
    } catch (error) {
      say(`The daily backup was not written: ${error.message}`);
    }
  };
  void once();
  const timer = setInterval(() => void once(), 3_600_000);
  timer.unref();
  return () => clearInterval(timer);
}

/** Takes away daily backups that are older than the last fourteen; whatever else lies there stays. */
export function prune(folder) {
  const daily = readdirSync(folder).filter((f) => /^\d{4}-\d{2}-\d{2}\.workshop$/.test(f));
  for (const f of daily.sort().slice(0, -KEPT)) rmSync(path.join(folder, f));
}

/** A file name for a backup that nobody named. */
export const unnamed = (workshop) => path.join(backupFolder(workshop), `${new Date().toISOString().slice(0, 19).replace(/:/g, '-')}${ENDING}`);

/** What a backup holds, in one line. */
export const heldText = ({ version, counts }) => `version ${version}; ${COUNTED.map((t) => `${counts[t]} ${t}`).join(', ')}`;

export const sizeText = (file) => `${(statSync(file).size / 1e6).toFixed(1)} MB`;

async function withScratch(url, file, act) {
  const scratch = `rinnovo_scratch_${randomBytes(6).toString('hex')}`;
  try {
    await fill(url, file, scratch);
    return await act(scratch);
  } finally {
    await sql(url, 'postgres', `DROP DATABASE IF EXISTS "${scratch}" WITH (FORCE)`);
  }
}

async function fill(url, file, database) {
  await sql(url, 'postgres', `CREATE DATABASE "${database}"`);
  await tool(
    'pg_restore',
    ['--exit-on-error', '--no-owner', '-d', addressOf(url, database), file],
    `${file} is no backup of a workshop, or it is damaged: nothing was changed.`,
  );
}

/** The version that a workshop's tables are of, and how much it holds. Throws Plain for tables of a newer program, and for what is no workshop. */
async function contents(url, database) {
  const no = 'That file holds no workshop: nothing was changed.';
  const version = (await sql(url, database, 'SELECT name FROM migrations ORDER BY id DESC LIMIT 1', no)).trim();
  const known = readdirSync(path.join(root, 'server/src/db')).filter((f) => /^\d{4}-.*\.ts$/.test(f));
  if (!known.includes(`${version}.ts`)) throw new Plain(`It was written by a newer program (${version}): update first; nothing was changed.`);
  const counts = {};
  for (const table of COUNTED) counts[table] = Number((await sql(url, database, `SELECT count(*) FROM ${table}`, no)).trim());
  return { version, counts };
}

async function rename(url, from, to, workshop) {
  await sql(url, 'postgres', `ALTER DATABASE "${from}" RENAME TO "${to}"`, `The workshop '${workshop}' is open: close it first; nothing was changed.`);
}

const databaseOf = (workshop) => `rinnovo_${workshop}`;

async function exists(url, database) {
  return (await sql(url, 'postgres', `SELECT 1 FROM pg_database WHERE datname = '${database}'`)).trim() === '1';
}

function addressOf(url, database) {
  const u = new URL(url);
  u.pathname = `/${database}`;
  return u.href;
}

async function sql(url, database, text, must = 'The database does not answer.') {
  return (await tool('psql', ['-X', '-q', '-A', '-t', '-v', 'ON_ERROR_STOP=1', '-d', addressOf(url, database), '-c', text], must)).output;
}

function tool(name, args, must) {
  const folder = binaries();
  return run(folder && existsSync(path.join(folder, name)) ? path.join(folder, name) : name, args, { quiet: true, must });
}
