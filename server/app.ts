import path from 'node:path';
import cookieParser from 'cookie-parser';
import express, { type ErrorRequestHandler, type Express } from 'express';
import rateLimit from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Context } from './api/context';
import { courses } from './api/courses';
import { kits } from './api/kits';
import { makers } from './api/makers';
import { published } from './api/published';
import { recordings } from './api/recordings';
import { HttpError } from './http';

/** Most bytes a request may carry. */
const BODY_LIMIT = '8mb';

/** The whole server as an Express application; nothing listens yet. */
export function createApp(context: Context, logger: Logger): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }));
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
  app.use('/api', api(context));
  if (context.config.webDir) serveWeb(app, context.config.webDir);
  app.use(() => {
    throw new HttpError(404, 'not-found', 'There is nothing at this address.');
  });
  app.use(answerErrors);
  return app;
}

function api(context: Context) {
  const { readsPerMinute, writesPerMinute } = context.config;
  const limit = (most: number, skipReads: boolean) =>
    rateLimit({
      windowMs: 60_000,
      limit: most,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      skip: (req) => (req.method === 'GET') === skipReads,
      handler: () => {
        throw new HttpError(429, 'too-many', 'Too many requests; wait a minute and try again.');
      },
    });
  return express
    .Router()
    .use(limit(readsPerMinute, false), limit(writesPerMinute, true))
    .use(cookieParser())
    .use(express.json({ limit: BODY_LIMIT }))
    .use(makers(context), courses(context), kits(context), recordings(context), published(context))
    .use(() => {
      throw new HttpError(404, 'not-found', 'There is nothing at this address.');
    });
}

/** The built pages: files that carry a hash in their name for ever, the page itself never kept. */
function serveWeb(app: Express, webDir: string): void {
  app.use(
    express.static(webDir, {
      index: false,
      setHeaders: (res, file) => {
        const hashed = /[.-][0-9a-f]{16,}\./.test(path.basename(file));
        res.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  app.get('/{*splat}', (req, res, next) => {
    // An address with an ending is a file that is not there, not a page of the application.
    if (/\.[a-z0-9]+$/i.test(req.path)) return next();
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile(path.join(webDir, 'index.html'));
  });
}

const answerErrors: ErrorRequestHandler = (error, req, res, _next) => {
  const known = toHttpError(error);
  if (known.status >= 500 && known.status !== 503) req.log.error(error);
  res.status(known.status).set(known.headers);
  res.json({ error: { code: known.code, message: known.message, details: known.details } });
};

function toHttpError(error: unknown): HttpError {
  if (error instanceof HttpError) return error;
  const type = (error as { type?: string }).type;
  if (type === 'entity.too.large') {
    return new HttpError(
      413,
      'too-large',
      'That is more than is kept: a course has at most 8 MB, a recording 15 MB.',
    );
  }
  if (type === 'entity.parse.failed') {
    return new HttpError(400, 'broken', 'The request is cut off or is not JSON.');
  }
  return new HttpError(500, 'fault', 'Something went wrong on the server. Nothing was changed.');
}
