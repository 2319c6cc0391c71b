// What the database and the disk can say, as problems: no trace, no 500 for what is foreseen.
import express from 'express';
import { pino } from 'pino';
import { pinoHttp } from 'pino-http';
import request from 'supertest';
import { answerErrors } from './errors.js';

function appThatFails(error: unknown): express.Express {
  const app = express();
  app.use(pinoHttp({ logger: pino({ level: 'silent' }) }));
  app.get('/', () => {
    throw error;
  });
  app.use(answerErrors);
  return app;
}

const failure = (code: string, more: object = {}): Error => Object.assign(new Error(`secret detail of ${code}`), { code, ...more });

describe('errors', () => {
  const cases: readonly [string, unknown, number, string][] = [
    ['a full disk, said by the database', failure('53100'), 507, 'disk-full'],
    ['a full disk, said by the system', failure('ENOSPC'), 507, 'disk-full'],
    ['a database that is not there', failure('ENOENT', { syscall: 'connect' }), 503, 'database-away'],
    ['a database that shuts down', failure('57P01'), 503, 'database-away'],
    ['a statement that took too long', failure('57014'), 503, 'database-away'],
    ['a file that is not there', failure('ENOENT', { syscall: 'open' }), 404, 'not-found'],
    ['a row that is there already', failure('23505'), 409, 'already-there'],
    ['a row that names something missing', failure('23503'), 422, 'cannot-be'],
    ['something nobody foresaw', new TypeError('secret detail of mine'), 500, 'unexpected'],
  ];
  for (const [what, error, status, code] of cases) {
    it(`${what} is ${status} ${code}, in one sentence and without its detail`, async () => {
      const r = await request(appThatFails(error)).get('/');
      expect(r.status).toBe(status);
      expect((r.body as { type: string }).type).toBe(`/problems/${code}`);
      expect(r.text).not.toContain('secret');
      if (status === 503) expect(r.headers['retry-after']).toBe('2');
    });
  }
});
