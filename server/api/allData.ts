import { once } from 'node:events';
import type { Response } from 'express';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { Knex } from 'knex';
import { slugOf } from '@/core/formats';
import type {
  BodyRow,
  CourseRow,
  KeepRow,
  KitRow,
  LikeRow,
  ListingRow,
  MakerRow,
  NoteRow,
  RecordingRow,
  RunRow,
  SeriesRow,
} from '../db/rows';

/**
 * Sends all that is kept of a maker as one archive (APPNOTE 6.3): courses and assemblies as files that open here,
 * proofs, runs, likes, series, notes and recordings. One thing after the other is read, so that it may be as much as it likes.
 */
export async function sendAll(db: Knex, maker: MakerRow, res: Response): Promise<void> {
  res.type('application/zip').attachment('stone-hop.zip');
  let failed: Error | null = null;
  const zip = new Zip((error, data, last) => {
    if (error) failed = error;
    else {
      res.write(data);
      if (last) res.end();
    }
  });
  const put = async (name: string, data: Buffer | string, packed = true): Promise<void> => {
    const entry = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(entry);
    entry.push(typeof data === 'string' ? Buffer.from(data) : data, true);
    if (failed) throw failed;
    // Who reads slowly, or no more, is not written to ahead.
    if (res.writableNeedDrain && !res.destroyed) {
      await Promise.race([once(res, 'drain'), once(res, 'close')]);
    }
  };
  const putJson = (name: string, data: unknown) => put(name, `${JSON.stringify(data, null, 2)}\n`);

  const { id, name, created } = maker;
  await putJson('account.json', { name, created: new Date(created).toISOString() });
  for (const course of await db<CourseRow>('courses').where({ maker: id }).select('id', 'name')) {
    if (res.destroyed) return;
    const body = await db<BodyRow>('bodies').where('course', course.id).first('document', 'proof');
    const path = `courses/${slugOf(course.name)}-${course.id}`;
    await put(`${path}.json`, body!.document);
    if (body!.proof !== null) await put(`${path}.run.json`, body!.proof);
  }
  for (const kit of await db<KitRow>('kits').where({ maker: id }).select('id', 'name')) {
    const { document } = (await db<KitRow>('kits').where('id', kit.id).first('document'))!;
    await put(`kits/${slugOf(kit.name)}-${kit.id}.json`, document);
  }
  const published = db<ListingRow>('listings').where({ maker_id: id });
  await putJson('published.json', await published.select('slug', 'name', 'edition', 'published'));
  await putJson(
    'likes.json',
    await db<LikeRow>('likes').where({ maker: id }).select('slug', 'made'),
  );
  for (const { id: series, name, words } of await db<SeriesRow>('series').where({ maker: id })) {
    const courses = await db('series_courses').where({ series }).orderBy('place').pluck('slug');
    await putJson(`series/${series}.json`, { name, words, courses });
  }
  const follows = db('follows').join('makers', 'makers.id', 'follows.maker');
  await putJson('follows.json', await follows.where('follower', id).pluck('makers.name'));
  const notes = db<NoteRow>('notes').where({ maker: id });
  await putJson('notes.json', await notes.select('slug', 'words', 'made'));
  for (const run of await db<RunRow>('runs').where({ maker: id })) {
    if (res.destroyed) return;
    const { slug, player, time, strokes, made } = run;
    await putJson(`runs/${slugOf(slug)}-${run.id}.json`, {
      ...{ slug, player, time, strokes, made },
      run: JSON.parse(run.run),
    });
  }
  for (const { file } of await db<KeepRow>('keeps').where({ maker: id }).select('file')) {
    if (res.destroyed) return;
    const { data } = (await db<RecordingRow>('recordings').where({ file }).first('data'))!;
    await put(`recordings/${file}`, data, false);
  }
  zip.end();
}
