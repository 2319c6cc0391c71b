import { createServer } from 'node:http';
import { pino } from 'pino';
import { createApp } from './app.js';
import { ConfigError, databaseName, readConfig } from './config.js';
import { connect } from './db/connect.js';
import { answersInTime } from './http/in-time.js';
import { DatabaseError, openDatabase } from './db/prepare.js';
import { fillDemo } from './demo.js';
import { useWorkshopLocale } from './shop/locale.js';
import { endThreads } from './sums/pool.js';

/** Opens the workshop, serves it, and on SIGTERM or SIGINT finishes requests and closes the pool. */
async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const db = await openDatabase(config.connection, databaseName(config.workshop));
  if (config.workshop === 'demo' && (await fillDemo(db))) log.info('demo workshop filled');
  await useWorkshopLocale(db);

  let ready = true;
  const beside = connect(config.connection, databaseName(config.workshop), 1);
  const probe = () => answersInTime(() => beside.raw('SELECT 1'));
  const server = createServer(createApp({ db, log, probe, webRoot: config.webRoot, workshop: config.workshop, name: config.name, ready: () => ready }));
  server.requestTimeout = 30_000;
  server.on('error', (error: NodeJS.ErrnoException) => {
    const reason = error.code === 'EADDRINUSE' ? `Port ${config.port} is taken: choose another with RINNOVO_PORT.` : error.message;
    say(reason);
    process.exit(1);
  });
  server.listen(config.port, config.host, () => {
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    log.info({ port }, 'listening');
    process.send?.({ kind: 'listening', port });
  });

  const stop = (): void => {
    if (!ready) return;
    ready = false;
    server.close(() => void Promise.all([db.destroy(), beside.destroy(), endThreads()]).then(() => process.exit(0)));
    server.closeIdleConnections();
    setTimeout(() => process.exit(1), 10_000).unref();
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
}

function say(sentence: string): void {
  process.stderr.write(`${sentence}\n`);
  process.send?.({ kind: 'failed', sentence });
}

main().catch((error: unknown) => {
  say(
    error instanceof ConfigError || error instanceof DatabaseError
      ? error.message
      : `The server cannot start: ${error instanceof Error ? error.message : String(error)}`,
  );
  process.exit(1);
});
