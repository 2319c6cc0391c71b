import { randomUUID } from 'node:crypto';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { anatomyRoutes } from './anatomy/routes.js';
import { circuitRoutes } from './circuits/routes.js';
import { consentRoutes, withdrawalRoutes } from './consents/routes.js';
import { clearanceRoutes } from './clearances/routes.js';
import { decisionRoutes } from './decisions/routes.js';
import { templateRoutes } from './templates/routes.js';
import { wayBackRoutes } from './decisions/way-back-routes.js';
import { answerInTime, answersInTime } from './http/in-time.js';
import { atHome } from './http/at-home.js';
import { answerErrors, sendProblem } from './http/errors.js';
import { largeJson } from './http/large-json.js';
import { ProblemError } from './http/problems.js';
import { serveApplication } from './http/application.js';
import { instrumentRoutes } from './instruments/routes.js';
import { jobRoutes } from './jobs/jobs.js';
import { workRoutes } from './jobs/work-routes.js';
import { correctionRoutes } from './ledger/corrections.js';
import { lessonRoutes } from './ledger/lessons.js';
import { instrumentLedgerRoutes, ledgerRoutes, lookRoutes } from './ledger/routes.js';
import { ownWorkRoutes } from './operations/own-work-routes.js';
import { orderRoutes } from './operations/routes.js';
import { outlineRoutes } from './outlines/routes.js';
import { paperRoutes } from './papers/routes.js';
import { partRoutes } from './parts/routes.js';
import { passportRoutes } from './passport/routes.js';
import { peopleRoutes } from './people/people.js';
import { instrumentPhotographRoutes, photographRoutes } from './photographs/routes.js';
import { planRoutes } from './plans/routes.js';
import { instrumentReadingRoutes, readingRoutes } from './readings/routes.js';
import { buyListRoutes } from './shop/buy-list.js';
import { shopRoutes } from './shop/shop.js';
import { stockRoutes } from './stock/routes.js';
import { partUseRoutes, stockUseRoutes } from './stock/used-in.js';
import { findingRoutes, instrumentFindingRoutes } from './surveys/finding-routes.js';
import { sheetRoutes } from './surveys/sheet-route.js';
import { instrumentSurveyRoutes, profileRoutes, surveyRoutes } from './surveys/routes.js';

export interface AppOptions {
  readonly db: Knex;
  readonly log: Logger;
  readonly webRoot: string | null;
  readonly workshop: string;
  /** What the server is called besides the names of this machine. */
  readonly name?: string | null;
  /** Does the database answer? Over a connection of its own where there is one. */
  readonly probe?: () => Promise<boolean>;
  /** True while requests are still taken. */
  readonly ready: () => boolean;
}

/** The whole HTTP application on an open database. */
export function createApp({ db, log, webRoot, workshop, name = null, ready, probe = () => answersInTime(() => db.raw('SELECT 1')) }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', 'weak');
  app.use(
    pinoHttp({
      logger: log,
      genReqId: (req, res) => {
        const given = req.headers['x-request-id'];
        const id = typeof given === 'string' && /^[\w-]{1,64}$/.test(given) ? given : randomUUID();
        res.setHeader('X-Request-Id', id);
        return id;
      },
      serializers: {
        req: (r: { id: unknown; method: unknown; url: unknown }) => ({ id: r.id, method: r.method, url: r.url }),
        res: (r: { statusCode: unknown }) => ({ status: r.statusCode }),
      },
    }),
  );
  app.use(atHome(name));
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives: POLICY }, strictTransportSecurity: false, crossOriginEmbedderPolicy: false }));
  app.use(compression());

  const api = express.Router();
  api.use(answerInTime(probe));
  api.use((req, _res, next) => {
    if (['PUT', 'POST', 'PATCH'].includes(req.method) && !req.is('application/json')) throw new ProblemError('media-type');
    next();
  });
  // a drawing may come with an outline
  api.use('/outlines', ...largeJson('12mb'));
  // so does a photograph
  api.use('/photographs', ...largeJson('12mb'));
  api.use(express.json({ limit: '1mb', strict: true }));
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-cache');
    next();
  });
  api.get('/health', (_req, res) => void res.json({ status: 'alive' }));
  api.get('/ready', async (req, res) => {
    if (!ready()) return sendProblem(req, res, 'database-away', { detail: 'The server is shutting down.' });
    await db.raw('SELECT 1');
    res.json({ status: 'ready', workshop });
  });
  api.use('/people', peopleRoutes(db));
  api.use('/instruments/:id/anatomy', anatomyRoutes(db));
  api.use('/instruments/:id/circuit', circuitRoutes(db));
  api.use('/instruments/:id/readings', instrumentReadingRoutes(db));
  api.use('/instruments/:id/surveys', instrumentSurveyRoutes(db));
  api.use('/instruments/:id/findings', instrumentFindingRoutes(db));
  api.use('/instruments/:id/ledger', instrumentLedgerRoutes(db));
  api.use('/instruments/:id/photographs', instrumentPhotographRoutes(db));
  api.use('/instruments/:id/passport', passportRoutes(db));
  api.use('/instruments', instrumentRoutes(db));
  api.use('/jobs/:id/plan', planRoutes(db));
  api.use('/jobs/:id/work', workRoutes(db));
  api.use('/jobs/:id/template', templateRoutes(db));
  api.use('/jobs/:id/papers', paperRoutes(db));
  api.use('/own-work', ownWorkRoutes(db));
  api.use('/', orderRoutes(db));
  api.use('/jobs', jobRoutes(db));
  api.use('/', readingRoutes(db));
  api.use('/surveys', surveyRoutes(db));
  api.use('/surveys', sheetRoutes(db));
  api.use('/findings', findingRoutes(db));
  api.use('/profiles', profileRoutes(db));
  api.use('/outlines', outlineRoutes(db));
  api.use('/parts/:id/used-in', partUseRoutes(db));
  api.use('/parts', partRoutes(db));
  api.use('/stock/:id/used-in', stockUseRoutes(db));
  api.use('/stock', stockRoutes(db));
  api.use('/shop', shopRoutes(db));
  api.use('/buy-list', buyListRoutes(db));
  api.use('/decisions', decisionRoutes(db));
  api.use('/ways-back', wayBackRoutes(db));
  api.use('/consents', consentRoutes(db));
  api.use('/consent-withdrawals', withdrawalRoutes(db));
  api.use('/clearances', clearanceRoutes(db));
  api.use('/ledger', ledgerRoutes(db));
  api.use('/ledger-looks', lookRoutes(db));
  api.use('/ledger-corrections', correctionRoutes(db));
  api.use('/lessons', lessonRoutes(db));
  api.use('/photographs', photographRoutes(db));
  api.use(() => {
    throw new ProblemError('not-found');
  });
  app.use('/api', api);
  if (webRoot !== null) serveApplication(app, webRoot);
  app.use(answerErrors);
  return app;
}

/** No inline script, no eval, nothing from elsewhere; Material writes style elements. */
const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  workerSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};
