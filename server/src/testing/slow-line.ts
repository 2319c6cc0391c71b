import { createServer, connect as connectTo, type Socket } from 'node:net';

/** A line to the database server that can be made to hang: nothing gets through, nothing is closed. */
export interface SlowLine {
  /** The same server through this line. */
  readonly url: string;
  readonly hang: () => void;
  readonly goOn: () => void;
  readonly close: () => Promise<void>;
}

/** A line to the server that `url` names by its socket's folder, or by host and port. */
export async function slowLine(url: string): Promise<SlowLine> {
  const u = new URL(url);
  const folder = u.searchParams.get('host');
  const port = Number(u.searchParams.get('port') ?? (u.port || '5432'));
  const pairs = new Set<readonly [Socket, Socket]>();
  let hanging = false;
  const server = createServer((near) => {
    const far = folder?.startsWith('/') ? connectTo(`${folder}/.s.PGSQL.${port}`) : connectTo(port, u.hostname);
    const pair = [near, far] as const;
    pairs.add(pair);
    if (hanging) for (const s of pair) s.pause();
    near.pipe(far);
    far.pipe(near);
    if (hanging) for (const s of pair) s.pause();
    for (const s of pair)
      s.on('error', () => undefined).on('close', () => {
        pairs.delete(pair);
        near.destroy();
        far.destroy();
      });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const address = server.address();
  const mine = typeof address === 'object' && address ? address.port : 0;
  const user = u.searchParams.get('user') ?? u.username;
  const each = (act: (s: Socket) => void): void => {
    for (const pair of pairs) pair.forEach(act);
  };
  return {
    url: `postgresql://${user}@127.0.0.1:${mine}/postgres`,
    hang: () => {
      hanging = true;
      each((s) => s.pause());
    },
    goOn: () => {
      hanging = false;
      each((s) => s.resume());
    },
    close: async () => {
      each((s) => s.destroy());
      await new Promise<void>((done) => server.close(() => done()));
    },
  };
}
