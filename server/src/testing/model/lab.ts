// A real server on a database of its own, two people at it, and a book of what was acknowledged.
import { fork, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Knex } from 'knex';
import { pino } from 'pino';
import { createApp } from '../../app.js';
import { connect } from '../../db/connect.js';

/** An answer, or none: the server was gone. */
export interface Answer {
  readonly status: number;
  readonly body: unknown;
  readonly text: string;
}

/** A write as it was sent, with its last answer; status 0: none came. */
export interface Sent {
  readonly writeId: string;
  readonly person: string;
  readonly method: 'PUT' | 'DELETE';
  readonly path: string;
  readonly version: number | null;
  readonly body: object | undefined;
  readonly answer: Answer;
}

export interface Lab {
  readonly db: Knex;
  readonly people: readonly [string, string];
  readonly book: Sent[];
  /** Every text that was answered while something was hidden, with whom it was told. */
  readonly told: { readonly person: string; readonly text: string; readonly path: string }[];
  readonly get: (who: number, path: string) => Promise<Answer>;
  readonly write: (who: number, path: string, body: object | undefined, how?: How) => Promise<Answer>;
  readonly resend: (one: Sent) => Promise<Answer>;
  /** Kills the server in the middle of whatever it does, and starts it again. */
  readonly kill: () => Promise<void>;
  readonly close: () => Promise<void>;
}

interface How {
  readonly method?: 'PUT' | 'DELETE';
  /** null: it creates. */
  readonly version?: number | null;
}

const serverUrl = (): string => process.env['DATABASE_URL'] ?? '';

/** Copies a database that nobody is connected to. */
export async function copied(of: string, name = `rinnovo_test_${randomUUID().replaceAll('-', '').slice(0, 16)}`): Promise<string> {
  const admin = connect(serverUrl(), 'postgres', 1);
  await admin.raw('CREATE DATABASE ?? TEMPLATE ??', [name, of]);
  await admin.destroy();
  return name;
}

export async function dropped(name: string): Promise<void> {
  const admin = connect(serverUrl(), 'postgres', 1);
  await admin.raw('DROP DATABASE IF EXISTS ?? WITH (FORCE)', [name]);
  await admin.destroy();
}

/** A laboratory on a copy of a database; with kills the server is a process of its own. */
export async function labOn(template: string, people: readonly [string, string], killable: boolean): Promise<Lab> {
  const name = await copied(template);
  const db = connect(serverUrl(), name, 6);
  const server = killable ? await processOn(name) : await hereOn(db);
  const book: Sent[] = [];
  const told: { person: string; text: string; path: string }[] = [];

  const send = async (one: Omit<Sent, 'answer'>): Promise<Answer> => {
    const condition: Record<string, string> = one.version === null ? { 'If-None-Match': '*' } : { 'If-Match': `"${one.version}"` };
    const headers = { 'Content-Type': 'application/json', Person: one.person, 'Write-Id': one.writeId, ...condition };
    const answer = await asked(`${server.url()}${one.path}`, { method: one.method, headers, ...(one.body ? { body: JSON.stringify(one.body) } : {}) });
    told.push({ person: one.person, text: answer.text, path: one.path });
    return answer;
  };
  const write: Lab['write'] = async (who, path, body, { method = 'PUT', version = null } = {}) => {
    const one = { writeId: randomUUID(), person: people[who]!, method, path, version, body };
    const answer = await send(one);
    book.push({ ...one, answer });
    return answer;
  };
  const resend: Lab['resend'] = async (one) => {
    const answer = await send(one);
    book[book.indexOf(one)] = { ...one, answer };
    return answer;
  };
  const get: Lab['get'] = async (who, path) => {
    const answer = await asked(`${server.url()}${path}`, { headers: { Person: people[who]! } });
    told.push({ person: people[who]!, text: answer.text, path });
    return answer;
  };
  const close = async (): Promise<void> => {
    await server.stop();
    await db.destroy();
    await dropped(name);
  };
  return { db, people, book, told, get, write, resend, kill: server.kill, close };
}

async function asked(url: string, init: RequestInit): Promise<Answer> {
  try {
    const r = await fetch(url, init);
    const text = await r.text();
    return { status: r.status, body: text.startsWith('{') ? JSON.parse(text) : null, text };
  } catch {
    return { status: 0, body: null, text: '' };
  }
}

interface Running {
  readonly url: () => string;
  readonly kill: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

async function hereOn(db: Knex): Promise<Running> {
  const server: Server = createServer(createApp({ db, log: pino({ level: 'silent' }), webRoot: null, workshop: 'test', ready: () => true }));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const stop = () =>
    new Promise<void>((done) => {
      server.close(() => done());
      server.closeAllConnections();
    });
  return { url: () => `http://127.0.0.1:${port}`, kill: () => Promise.resolve(), stop };
}

async function processOn(database: string): Promise<Running> {
  let child: ChildProcess;
  let port = 0;
  const start = async (): Promise<void> => {
    const env = { ...process.env, RINNOVO_WORKSHOP: database.replace('rinnovo_', ''), RINNOVO_PORT: String(port), RINNOVO_LOG: 'error' };
    child = fork(new URL('../../main.ts', import.meta.url), { env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
    port = await new Promise<number>((done, failed) => {
      child.once('message', (m) => {
        const said = m as { kind: string; port?: number; sentence?: string };
        if (said.kind === 'listening') done(said.port ?? 0);
        else failed(new Error(said.sentence));
      });
      child.once('exit', () => failed(new Error('the server ended')));
    });
  };
  const end = (): Promise<void> =>
    new Promise((done) => {
      child.removeAllListeners('exit');
      child.once('exit', () => done());
      child.kill('SIGKILL');
    });
  await start();
  return { url: () => `http://127.0.0.1:${port}`, kill: () => end().then(start), stop: end };
}
