import compression from 'compression';
import cookieParser from 'cookie-parser';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { account } from './api/account';
import { attempts } from './api/attempts';
import type { Context } from './api/context';
import { byTurns } from './api/admission';
import { bin } from './api/bin';
import { courses } from './api/courses';
import { ends } from './api/ends';
import { explore } from './api/explore';
import { health } from './api/health';
import { kits } from './api/kits';
import { makerPages } from './api/makerPages';
import { makers } from './api/makers';
import { notes } from './api/notes';
import { previews } from './api/previews';
import { proofs } from './api/proofs';
import { published } from './api/published';
import { recordings } from './api/recordings';
import { runs } from './api/runs';
import { series } from './api/series';
import { versions } from './api/versions';
import { HttpError } from './base/http';
import { plainSerializers } from './base/log';
import { reports } from './api/reports';
import { requestLimits } from './api/limits';
import { pages } from './pages';
import { sameSiteOnly } from './base/sameSite';
import { busy } from './threads/turns';

/** The whole server as an Express application; nothing listens yet. */
export function createApp(context: Context, logger: Logger): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', context.config.proxies);
  app.use(
    pinoHttp({
      logger,
      autoLogging: { ignore: (req) => !req.url?.startsWith('/api') },
      // It puts its own over those of the logger, and those tell of cookies.
      serializers: plainSerializers,
      wrapSerializers: false,
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // What makes brought-in models lighter is compiled in the page.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          // The interface library writes its style sheet into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use('/api', compression(), api(context));
  if (context.config.webDir) app.use(pages(context.db, context.config.webDir));
  app.use(() => {
    throw new HttpError(404, 'not-found', 'There is nothing at this address.');
  });
  app.use(answerErrors);
  return app;
}

function api(context: Context) {
  return express
    .Router()
    .use((_req, res, next) => {
      // What is addressed by what it holds says so itself; all else is as it is now, and for who asks.
      res.set('Cache-Control', 'no-store');
      next();
    })
    .use(sameSiteOnly)
    .use(byTurns())
    .use(health(context))
    .use(...requestLimits(context.config))
    .use(cookieParser())
    .use(
      ...[
        makers,
        account,
        courses,
        versions,
        proofs,
        kits,
        recordings,
        bin,
        published,
        previews,
        explore,
        attempts,
        runs,
        reports,
        series,
        makerPages,
        notes,
        ends,
      ].map((resource) => resource(context)),
    )
    .use(() => {
      throw new HttpError(404, 'not-found', 'There is nothing at this address.');
    });
}

/** Bytes of a refused request that are read to its end, so that whoever sends them hears why. */
const LINGER = 4 * 1024 * 1024;

const answerErrors: ErrorRequestHandler = (error, req, res, _next) => {
  const known = toHttpError(error);
  // Whoever left hears nothing.
  if (known.status === 499 || res.headersSent) return void res.end();
  if (known.status === 500) req.log.error(error);
  // Nobody waits for the rest of what is far too long, or comes from nobody.
  const rest = req.complete ? 0 : Number(req.get('content-length') ?? Infinity);
  if (rest > LINGER && (known.status === 401 || known.status === 413))
    res.set('Connection', 'close');
  res.status(known.status).set({ 'Cache-Control': 'no-store', ...known.headers });
  res.json({ error: { code: known.code, message: known.message, details: known.details } });
};

function toHttpError(error: unknown): HttpError {
  if (error instanceof HttpError) return error;
  const type = (error as { type?: string }).type;
  if (type === 'entity.too.large') {
    return new HttpError(
      413,
      'too-large',
      'This is too large. A course may have 8 MB, a recording 15 MB.',
    );
  }
  if (type === 'entity.parse.failed') {
    return new HttpError(400, 'broken', 'The request is cut off or is not JSON.');
  }
  if (/^SQLITE_(BUSY|LOCKED)/.test((error as { code?: string }).code ?? '')) {
    return busy();
  }
  if ((error as { code?: string }).code === 'SQLITE_CONSTRAINT_FOREIGNKEY') {
    return new HttpError(409, 'gone', 'What this belongs to was deleted in the meantime.');
  }
  if ((error as { code?: string }).code === 'SQLITE_FULL') {
    return new HttpError(507, 'disk-full', 'The server has no room left. Nothing was changed.');
  }
  const status = (error as { status?: number }).status;
  if (status !== undefined && status >= 400 && status < 500) {
    return new HttpError(status, 'broken', 'The request is not one that is understood.');
  }
  return new HttpError(500, 'fault', 'Something went wrong on the server. Nothing was changed.');
}
