import type { Response, Test } from 'supertest';

/** An answer whose body is taken as it was sent, byte by byte: a file. */
export function asBytes(request: Test): Promise<Response> {
  return request.buffer(true).parse((res, done) => {
    const chunks: Buffer[] = [];
    res.on('data', (c: Buffer) => chunks.push(c));
    res.on('end', () => {
      done(null, Buffer.concat(chunks));
    });
  });
}
