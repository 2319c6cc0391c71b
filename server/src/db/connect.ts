import knex, { type Knex } from 'knex';

/** Milliseconds: a connection, a statement, a wait for a lock, a transaction left idle, a wait for a free connection. */
const LIMITS = { connect: 3000, statement: 8000, lock: 4000, idle: 15000, acquire: 4000 } as const;

/** A pool on one database of the server that `url` names. */
export function connect(url: string, database: string, pool = 8): Knex {
  return knex({
    client: 'pg',
    connection: connectionOf(url, database),
    acquireConnectionTimeout: LIMITS.acquire,
    pool: {
      min: 0,
      max: pool,
      afterCreate: (
        connection: { query: (sql: string, done: (error: Error | null) => void) => void },
        done: (error: Error | null, connection: unknown) => void,
      ) => {
        const sql = `SET statement_timeout = ${LIMITS.statement}; SET lock_timeout = ${LIMITS.lock}; SET idle_in_transaction_session_timeout = ${LIMITS.idle}; SET TIME ZONE 'UTC'`;
        connection.query(sql, (error) => done(error, connection));
      },
    },
  });
}

/** A connection from a URL; `postgresql:///?host=/folder&user=name` names a socket's folder. */
function connectionOf(url: string, database: string): Knex.PgConnectionConfig {
  const u = new URL(url);
  const host = u.searchParams.get('host') ?? u.hostname;
  const user = u.searchParams.get('user') ?? decodeURIComponent(u.username);
  const port = u.searchParams.get('port') ?? u.port;
  return {
    host,
    database,
    connectionTimeoutMillis: LIMITS.connect,
    ...(user ? { user } : {}),
    ...(u.password ? { password: decodeURIComponent(u.password) } : {}),
    ...(port ? { port: Number(port) } : {}),
  };
}
