import path from 'node:path';
import express, { type Express } from 'express';
import { ProblemError } from './problems.js';

/** A name with a content hash in it never changes its content. */
const HASHED = /-[A-Z0-9]{8}\.(js|css|woff2?|svg)$|\/media\/.+-[A-Z0-9]{8}\./;

/** Serves the built application: hashed files for ever, the page itself afresh; unknown paths get the page. */
export function serveApplication(app: Express, root: string): void {
  app.use(
    express.static(root, {
      index: false,
      redirect: false,
      setHeaders: (res, file) => res.setHeader('Cache-Control', HASHED.test(file) ? 'public, max-age=31536000, immutable' : 'no-cache'),
    }),
  );
  app.get('/{*path}', (req, res) => {
    if (path.extname(req.path) !== '') throw new ProblemError('not-found');
    res.set('Cache-Control', 'no-cache').sendFile(path.join(root, 'index.html'));
  });
}
