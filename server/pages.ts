import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { Router, type Request } from 'express';
import staticGzip from 'express-static-gzip';
import type { Knex } from 'knex';
import { previewOf, type Preview } from './api/previews';
import { escaped } from '@/core/formats';
import { FOR_EVER, HttpError } from './base/http';
import { param } from './base/params';
import { PREVIEW_HEIGHT, PREVIEW_WIDTH } from './threads/previewSize';

/** The built pages: files that carry a hash in their name for ever, the page itself never kept. */
export function pages(db: Knex, webDir: string): Router {
  const page = path.join(webDir, 'index.html');
  return (
    Router()
      .use(
        // Scripts and fonts are packed once, when they are built, as small as they can be.
        staticGzip(webDir, {
          enableBrotli: true,
          orderPreference: ['br'],
          index: false,
          serveStatic: {
            setHeaders: (res, file) => {
              const hashed = /[.-][0-9a-f]{16,}\./.test(path.basename(file));
              const kept = hashed ? FOR_EVER : 'no-cache';
              res.setHeader('Cache-Control', kept);
            },
          },
        }),
      )
      // Whoever shows a link reads no further than the head of its page.
      .get(['/play/:slug', '/play/:slug/run'], async (req, res, next) => {
        let slug: string;
        let preview: Preview;
        try {
          slug = param(req, 'slug');
          preview = await previewOf(db, slug);
        } catch (error) {
          // The application says what is not there.
          if (error instanceof HttpError) return next();
          throw error;
        }
        const html = await readFile(page, 'utf8');
        res.setHeader('Cache-Control', 'no-cache');
        res.type('html').send(withTags(html, preview, originOf(req), slug));
      })
      .get('/{*splat}', (req, res, next) => {
        // An address with an ending is a file that is not there, not a page of the application.
        if (/\.[a-z0-9]+$/i.test(req.path)) return next();
        res.setHeader('Cache-Control', 'no-cache');
        res.sendFile(page);
      })
  );
}

const originOf = (req: Request): string => `${req.protocol}://${req.get('host') ?? 'localhost'}`;

/** The page with what is told of a course where its link is shown: title, line and picture. */
function withTags(html: string, preview: Preview, origin: string, slug: string): string {
  const { name, words, version } = preview;
  const picture = `${origin}/api/published/${encodeURIComponent(slug)}/preview.png?of=${version}`;
  const told: [string, string][] = [
    ['og:type', 'website'],
    ['og:site_name', 'Stone Hop'],
    ['og:title', name],
    ['og:description', words],
    ['og:url', `${origin}/play/${encodeURIComponent(slug)}`],
    ['og:image', picture],
    ['og:image:type', 'image/png'],
    ['og:image:width', String(PREVIEW_WIDTH)],
    ['og:image:height', String(PREVIEW_HEIGHT)],
    ['og:image:alt', `Picture of ${name}`],
  ];
  const tags = told.map(
    ([property, content]) => `<meta property="${property}" content="${escaped(content)}" />`,
  );
  const title = `<title>${escaped(name)} · Stone Hop</title>`;
  // By functions: what a name holds is no pattern.
  return html
    .replace(/<title>[^<]*<\/title>/, () => title)
    .replace(
      /<meta name="description"[^>]*>/,
      () => `<meta name="description" content="${escaped(words)}" />`,
    )
    .replace('</head>', () => `${tags.join('\n')}\n</head>`);
}
