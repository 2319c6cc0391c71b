import { fork, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { test as base } from '@playwright/test';
import knex, { type Knex } from 'knex';

const root = new URL('../../', import.meta.url).pathname;

/** The built server on a database of its own with the demo in it, or with nothing. */
export class Workshop {
  private child: ChildProcess | null = null;
  port = 0;

  private constructor(
    readonly connection: string,
    readonly database: string,
    readonly db: Knex,
  ) {}

  static async open(connection = process.env['DATABASE_URL'] ?? '', demo = true): Promise<Workshop> {
    if (connection === '') throw new Error('DATABASE_URL is not set: run npm test, or tools/with-postgres.mjs');
    const database = `rinnovo_test_${randomUUID().replaceAll('-', '').slice(0, 16)}`;
    const { openDatabase } = (await import(`${root}server/dist/db/prepare.js`)) as { openDatabase: (url: string, name: string) => Promise<Knex> };
    const { fillDemo } = (await import(`${root}server/dist/demo.js`)) as { fillDemo: (db: Knex) => Promise<boolean> };
    const db = await openDatabase(connection, database);
    if (demo) await fillDemo(db);
    // whatever the hour at which specs run: nobody is asked whether a cut can wait
    else await db('shop').update({ own: JSON.stringify({ lateHour: 24 }) });
    const w = new Workshop(connection, database, db);
    await w.start();
    return w;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts the server, on the port it had before. */
  async start(): Promise<void> {
    const child = fork(`${root}server/dist/main.js`, [], {
      env: {
        ...process.env,
        DATABASE_URL: this.connection,
        RINNOVO_WORKSHOP: this.database.replace('rinnovo_', ''),
        RINNOVO_PORT: String(this.port),
        RINNOVO_WEB: `${root}web/dist/browser`,
        RINNOVO_LOG: process.env['RINNOVO_LOG'] ?? 'error',
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    this.child = child;
    this.port = await new Promise<number>((resolve, reject) => {
      child.on('message', (m: { kind: string; port: number }) => {
        if (m.kind === 'listening') resolve(m.port);
      });
      child.on('exit', () => reject(new Error('the server ended before it listened')));
    });
  }

  /** Ends the server as a power cut would. */
  async kill(): Promise<void> {
    const { child } = this;
    if (child?.exitCode !== null || child.signalCode !== null) return;
    await new Promise<void>((resolve) => {
      child.on('exit', () => resolve());
      child.kill('SIGKILL');
    });
  }

  async close(): Promise<void> {
    await this.kill();
    await this.db.destroy();
    const u = new URL(this.connection);
    const admin = knex({
      client: 'pg',
      connection: {
        host: u.searchParams.get('host') ?? u.hostname,
        user: u.searchParams.get('user') ?? u.username,
        database: 'postgres',
        ...(u.port ? { port: Number(u.port) } : {}),
        ...(u.password ? { password: u.password } : {}),
      },
    });
    await admin.raw('DROP DATABASE IF EXISTS ?? WITH (FORCE)', [this.database]);
    await admin.destroy();
  }
}

export const FIRST = '00000000-0000-4000-8000-000000000011';
export const SECOND = '00000000-0000-4000-8000-000000000012';

/** Specs get a fresh workshop each. */
export const test = base.extend<{ workshop: Workshop }>({
  workshop: async ({}, use) => {
    const workshop = await Workshop.open();
    await use(workshop);
    await workshop.close();
  },
});

export { expect } from '@playwright/test';
