/** What the process is stated from outside. */
export interface Config {
  readonly host: string;
  readonly port: number;
  /** The workshop's database: rinnovo_<name>. */
  readonly workshop: string;
  readonly connection: string;
  /** Folder of the built application; null serves the API alone. */
  readonly webRoot: string | null;
  readonly logLevel: string;
  /** What the server is called besides the names of this machine: RINNOVO_NAME. */
  readonly name: string | null;
}

export class ConfigError extends Error {}

const NAME = /^[a-z][a-z0-9_]{0,39}$/;

/** Reads the configuration from the environment. Throws ConfigError with one sentence. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const workshop = env['RINNOVO_WORKSHOP'] ?? 'demo';
  if (!NAME.test(workshop)) throw new ConfigError(`'${workshop}' cannot be a workshop's name: small letters, digits and _ only, at most 40.`);
  const port = Number(env['RINNOVO_PORT'] ?? '4680');
  if (!Number.isInteger(port) || port < 0 || port > 65535) throw new ConfigError(`'${env['RINNOVO_PORT'] ?? ''}' is not a port number.`);
  const host = env['RINNOVO_HOST'] ?? '127.0.0.1';
  if (!['127.0.0.1', 'localhost', '::1'].includes(host))
    throw new ConfigError('Opening to the network needs HTTPS and sign-in, which this version does not have: leave RINNOVO_HOST unset.');
  const name = env['RINNOVO_NAME'] ?? null;
  if (name !== null && !/^[a-z0-9.-]{1,253}$/i.test(name)) throw new ConfigError(`'${name}' is not the name of a machine.`);
  const connection = env['DATABASE_URL'];
  if (!connection) throw new ConfigError('DATABASE_URL is not set: start with npm start, which sets it.');
  return { host, port, workshop, connection, webRoot: env['RINNOVO_WEB'] ?? null, logLevel: env['RINNOVO_LOG'] ?? 'info', name };
}

export function databaseName(workshop: string): string {
  return `rinnovo_${workshop}`;
}
