import { Router } from 'express';
import type { Knex } from 'knex';
import { KIND_WORDS, type CourseKind } from '@/core/course';
import type { ListingRow, PreviewRow } from '../db/rows';
import { digestOf } from '../base/digest';
import { FOR_EVER } from '../base/http';
import { param } from '../base/params';
import { partyOf } from './limits';
import type { Context } from './context';
import { findPublished } from './found';

/** What a link to a published course says of it. */
export interface Preview {
  readonly name: string;
  readonly words: string;
  /** Changes with whatever is seen of it. */
  readonly version: string;
}

/**
 * What is said of a course where somebody shows its link.
 * @throws HttpError 404 when there is none, 410 while it is taken down
 */
export async function previewOf(db: Knex, slug: string): Promise<Preview> {
  const { shown } = await findPublished(db, slug, ['shown']);
  const row = (await db<ListingRow>('listings')
    .where({ slug })
    .first('name', 'maker', 'kind', 'length'))!;
  const words = `by ${row.maker} · ${KIND_WORDS[row.kind as CourseKind]} · ${Math.round(row.length)} m`;
  return { name: row.name, words, version: digestOf(`${shown} ${row.name} ${words}`).slice(0, 16) };
}

/** Pictures that links are shown with, drawn when one is first asked for and kept until something of it changes. */
export function previews({ db, pictures }: Context): Router {
  return Router().get('/published/:slug/preview.png', async (req, res) => {
    const slug = param(req, 'slug');
    const { name, words, version } = await previewOf(db, slug);
    const known = await db<PreviewRow>('previews').where({ slug, shown: version }).first('png');
    let png = known?.png;
    if (!png) {
      const { document } = await findPublished(db, slug, ['document']);
      png = Buffer.from(
        await pictures.run(partyOf(req, undefined), 'drawPreview', { document, name, words }),
      );
      const row = { slug, shown: version, png };
      await db<PreviewRow>('previews').insert(row).onConflict('slug').merge();
    }
    res.set('Cache-Control', req.query.of === version ? FOR_EVER : 'no-store');
    res.type('image/png').send(png);
  });
}
