import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request, { type Test } from 'supertest';
import { createApp } from '../app.js';
import { fillDemo } from '../demo.js';
import { testDatabase } from './database.js';
import { demoWorkshop } from '@rinnovo/demo';

/** A server on a database of its own with the demo in it, and short ways to talk to it. */
export interface TestWorkshop {
  readonly db: Knex;
  readonly app: Express;
  readonly person: string;
  readonly close: () => Promise<void>;
  readonly get: (path: string) => Test;
  /** A creating PUT with a fresh write id. */
  readonly create: (path: string, body: object, writeId?: string) => Test;
  /** A DELETE of a version. */
  readonly remove: (path: string, version: number) => Test;
  /** A PUT on a version. */
  readonly change: (path: string, version: number, body: object, writeId?: string) => Test;
}

export async function testWorkshop(): Promise<TestWorkshop> {
  const { db, drop } = await testDatabase();
  await fillDemo(db);
  const person = demoWorkshop.people[0]!.id;
  const app = createApp({ db, log: pino({ level: 'silent' }), webRoot: null, workshop: 'test', ready: () => true });
  const put = (path: string, writeId: string): Test => request(app).put(path).set('Person', person).set('Write-Id', writeId);
  return {
    db,
    app,
    person,
    close: drop,
    get: (path) => request(app).get(path).set('Person', person),
    create: (path, body, writeId = randomUUID()) => put(path, writeId).set('If-None-Match', '*').send(body),
    remove: (path, version) => request(app).delete(path).set('Person', person).set('Write-Id', randomUUID()).set('If-Match', `"${version}"`),
    change: (path, version, body, writeId = randomUUID()) => put(path, writeId).set('If-Match', `"${version}"`).send(body),
  };
}
