import type { RequestHandler } from 'express';
import { ProblemError } from './problems.js';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/**
 * Only pages of this server talk to it: a name that somebody points at this machine, or a page from elsewhere, reads and writes nothing. `name`: what else the server is
 * called.
 */
export function atHome(name: string | null): RequestHandler {
  const names = new Set(name === null ? LOOPBACK : [...LOOPBACK, name.toLowerCase()]);
  return (req, _res, next) => {
    const host = hostOf(req.headers.host);
    const { origin } = req.headers;
    if (host === null || !names.has(host.name)) throw new ProblemError('not-here', { detail: 'This server does not answer under that name.' });
    if (origin !== undefined && origin !== `http://${host.whole}` && origin !== `https://${host.whole}`)
      throw new ProblemError('not-here', { detail: 'Another page may not use this server.' });
    next();
  };
}

function hostOf(header: string | undefined): { readonly name: string; readonly whole: string } | null {
  const found = /^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(?::\d{1,5})?$/.exec((header ?? '').toLowerCase());
  return found?.[1] === undefined ? null : { name: found[1], whole: found[0] };
}
