// A workshop written into a file and read back from it, by the commands themselves.
import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { connect } from './db/connect.js';
import { fillDemo } from './demo.js';
import { testDatabase } from './testing/database.js';

const tools = path.resolve(import.meta.dirname, '../../tools');
const call = promisify(execFile);

describe('a workshop', () => {
  let folder: string;
  let own: Awaited<ReturnType<typeof testDatabase>>;
  let workshop: string;
  beforeAll(async () => {
    folder = mkdtempSync(path.join(tmpdir(), 'backup-'));
    own = await testDatabase();
    await fillDemo(own.db);
    workshop = own.name.replace('rinnovo_', '');
  }, 60_000);
  afterAll(async () => {
    const admin = connect(own.url, 'postgres', 1);
    const mine = (await admin('pg_database').where('datname', 'like', `${own.name}%`).select('datname')) as { datname: string }[];
    await own.drop();
    for (const { datname } of mine) await admin.raw('DROP DATABASE IF EXISTS ?? WITH (FORCE)', [datname]);
    await admin.destroy();
    rmSync(folder, { recursive: true });
  }, 60_000);

  const run = async (...args: string[]): Promise<{ readonly code: number; readonly told: string }> => {
    try {
      const { stdout, stderr } = await call(process.execPath, [path.join(tools, 'backup.mjs'), ...args], { env: { ...process.env, DATABASE_URL: own.url } });
      return { code: 0, told: stdout + stderr };
    } catch (error) {
      const e = error as { code: number; stdout: string; stderr: string };
      return { code: e.code, told: e.stdout + e.stderr };
    }
  };
  const databases = async (like: string): Promise<readonly string[]> => {
    const admin = connect(own.url, 'postgres', 1);
    const rows = (await admin('pg_database').where('datname', 'like', like).orderBy('datname').select('datname')) as { datname: string }[];
    await admin.destroy();
    return rows.map((r) => r.datname);
  };

  it('goes into one file that is checked, comes back under another name as it was, and replaces nothing unless that is said', async () => {
    const file = path.join(folder, 'one.workshop');
    const written = await run('backup', '--workshop', workshop, file);
    expect(written.code).withContext(written.told).toBe(0);
    const newest = ((await own.db('migrations').orderBy('id', 'desc').first('name')) as { name: string }).name;
    expect(written.told).toContain(`version ${newest}`);
    expect(written.told).toContain('checked by reading it back');
    expect(readdirSync(folder).filter((f) => f.startsWith('one'))).toEqual(['one.workshop']);

    const copy = `${workshop}_copy`;
    const back = await run('restore', file, '--workshop', copy);
    expect(back.code).withContext(back.told).toBe(0);
    const other = connect(own.url, `rinnovo_${copy}`, 1);
    for (const table of ['instruments', 'readings', 'parts', 'ledger', 'photographs', 'people', 'revisions', 'writes'])
      expect(
        await other(table)
          .orderBy('id')
          .catch(() => other(table)),
      )
        .withContext(table)
        .toEqual(
          await own
            .db(table)
            .orderBy('id')
            .catch(() => own.db(table)),
        );
    // what may only be added to stays so
    await expectAsync(other('readings').delete()).toBeRejected();
    await other.destroy();

    const refused = await run('restore', file, '--workshop', copy);
    expect([refused.code, refused.told.includes('is there already')]).toEqual([1, true]);
    const replaced = await run('restore', file, '--workshop', copy, '--replace');
    expect(replaced.code).withContext(replaced.told).toBe(0);
    expect(replaced.told).toContain(`What was there is kept as '${copy}_until_`);
    expect((await databases(`rinnovo_${copy}%`)).length).toBe(2);
    // an open one is not taken away under whoever works in it
    const held = connect(own.url, `rinnovo_${copy}`, 1);
    await held.raw('SELECT 1');
    const open = await run('restore', file, '--workshop', copy, '--replace');
    expect([open.code, open.told.includes('is open: close it first')]).toEqual([1, true]);
    await held.destroy();
    expect(await databases('rinnovo_scratch_%')).toEqual([]);
  }, 120_000);

  it('is not read from what is no backup, a cut-off one or one of a newer program, and nothing is left of the attempt', async () => {
    const file = path.join(folder, 'two.workshop');
    expect((await run('backup', '--workshop', workshop, file)).code).toBe(0);
    const broken = path.join(folder, 'broken.workshop');
    for (const bytes of [Buffer.from('hello'), readFileSync(file).subarray(0, 4000)]) {
      writeFileSync(broken, bytes);
      const answer = await run('restore', broken, '--workshop', `${workshop}_b`);
      expect([answer.code, answer.told.includes('nothing was changed')]).toEqual([1, true]);
    }
    expect((await run('restore', path.join(folder, 'none'), '--workshop', `${workshop}_b`)).told).toContain('There is no file');
    expect((await run('backup', '--workshop', 'nowhere', file)).told).toContain("There is no workshop 'nowhere'");
    expect((await run('backup', '--workshop', 'No;name', file)).code).toBe(1);
    await own.db('migrations').insert({ name: '9999-later', batch: 99, migration_time: new Date() });
    const later = path.join(folder, 'later.workshop');
    expect((await run('backup', '--workshop', workshop, later)).told).toContain('newer program');
    await own.db('migrations').where({ name: '9999-later' }).delete();
    expect(await databases(`rinnovo_${workshop}_b%`)).toEqual([]);
    expect(await databases('rinnovo_scratch_%')).toEqual([]);
  }, 120_000);

  it('is kept for fourteen days, and what else lies there stays', async () => {
    const there = mkdtempSync(path.join(folder, 'daily-'));
    const days = Array.from({ length: 20 }, (_, i) => `2026-11-${String(i + 1).padStart(2, '0')}.workshop`);
    for (const f of [...days, 'by hand.workshop', '2026-11-01.txt']) writeFileSync(path.join(there, f), '');
    const script = `import { prune } from ${JSON.stringify(path.join(tools, 'lib/backup.mjs'))}; prune(${JSON.stringify(there)});`;
    await call(process.execPath, ['--input-type=module', '-e', script]);
    expect(readdirSync(there).sort()).toEqual(['2026-11-01.txt', ...days.slice(6), 'by hand.workshop']);
  });
});
