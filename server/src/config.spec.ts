import { ConfigError, databaseName, readConfig } from './config.js';

const url = 'postgresql:///postgres?host=/tmp';

describe('configuration', () => {
  it('opens the demo on loopback by default', () => {
    expect(readConfig({ DATABASE_URL: url })).toEqual(jasmine.objectContaining({ host: '127.0.0.1', port: 4680, workshop: 'demo' }));
    expect(databaseName('demo')).toBe('rinnovo_demo');
  });

  it('says in one sentence what is wrong', () => {
    const wrong: readonly [Record<string, string>, RegExp][] = [
      [{}, /DATABASE_URL is not set/],
      [{ DATABASE_URL: url, RINNOVO_PORT: 'x' }, /not a port/],
      [{ DATABASE_URL: url, RINNOVO_WORKSHOP: 'Robert"; DROP' }, /cannot be a workshop/],
      [{ DATABASE_URL: url, RINNOVO_HOST: '0.0.0.0' }, /HTTPS and sign-in/],
    ];
    for (const [env, sentence] of wrong) expect(() => readConfig(env)).toThrowError(ConfigError, sentence);
  });
});
