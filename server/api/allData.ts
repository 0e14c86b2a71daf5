import { once } from 'node:events';
import { promisify } from 'node:util';
import { crc32, deflateRaw, inflateRaw } from 'node:zlib';
import type { Response } from 'express';
import { Zip, ZipPassThrough, type ZipInputFile } from 'fflate';
import type { Knex } from 'knex';
import { slugOf } from '@/core/formats';
import type {
  AttemptRow,
  BodyRow,
  CourseRow,
  EditionRow,
  KeepRow,
  KitRow,
  LikeRow,
  ListingRow,
  MakerRow,
  NoteRow,
  RecordingRow,
  ReportRow,
  RunRow,
  SeriesRow,
  VersionRow,
} from '../db/rows';

const [packed, unpacked] = [promisify(deflateRaw), promisify(inflateRaw)] as const;
/** The number for deflated entries (APPNOTE 6.3, 4.4.5). */
const DEFLATED = 8;

/** An archive that is sent as it is made. What is packed is packed beside the thread that answers. */
class SentArchive {
  private failed: Error | null = null;
  private readonly zip: Zip;

  constructor(private readonly res: Response) {
    this.zip = new Zip((error, data, last) => {
      if (error) this.failed = error;
      else {
        res.write(data);
        if (last) res.end();
      }
    });
  }

  /** True once the client has left. */
  get isLeft(): boolean {
    return this.res.destroyed;
  }

  async text(name: string, text: string): Promise<void> {
    const data = Buffer.from(text);
    await this.deflated(name, data, await packed(data));
  }

  json(name: string, data: unknown): Promise<void> {
    return this.text(name, `${JSON.stringify(data, null, 2)}\n`);
  }

  /** Something with its deflated form, which is what is sent. */
  async deflated(name: string, data: Buffer, deflated: Buffer): Promise<void> {
    const entry: ZipInputFile = {
      ...{ filename: name, size: data.length, crc: crc32(data), compression: DEFLATED },
    };
    this.zip.add(entry);
    entry.ondata!(null, new Uint8Array(deflated), true);
    await this.taken();
  }

  /** Something that packing would not make smaller. */
  async asItIs(name: string, data: Buffer): Promise<void> {
    const entry = new ZipPassThrough(name);
    this.zip.add(entry);
    entry.push(new Uint8Array(data), true);
    await this.taken();
  }

  end(): void {
    this.zip.end();
  }

  /** Who reads slowly, or no more, is not written to ahead. */
  private async taken(): Promise<void> {
    if (this.failed) throw this.failed;
    const { res } = this;
    if (res.writableNeedDrain && !res.destroyed) {
      await Promise.race([once(res, 'drain'), once(res, 'close')]);
    }
  }
}

/**
 * Sends all that is kept of a maker as one archive (APPNOTE 6.3): courses with their versions and assemblies as files
 * that open here, proofs, runs, attempts, likes, series, notes, reports and recordings. One thing after the other is
 * read, so that it may be as much as it likes.
 */
export async function sendAll(db: Knex, maker: MakerRow, res: Response): Promise<void> {
  res.type('application/zip').attachment('stone-hop.zip');
  const archive = new SentArchive(res);
  const { id, name, created } = maker;
  await archive.json('account.json', { name, created: new Date(created).toISOString() });
  await sendCourses(db, id, archive);
  await sendMade(db, id, archive);
  await sendDone(db, id, archive);
  if (!archive.isLeft) archive.end();
}

/** Courses as files that open here, where their maker keeps them, and their earlier versions. */
async function sendCourses(db: Knex, maker: string, archive: SentArchive): Promise<void> {
  const courses = await db<CourseRow>('courses')
    .where({ maker })
    .select('id', 'name', 'folder', 'tags', 'deleted');
  const shelves = courses.map(({ tags, deleted, ...course }) => ({
    ...course,
    tags: JSON.parse(tags) as string[],
    inBin: deleted !== null,
  }));
  await archive.json('courses.json', shelves);
  for (const course of courses) {
    if (archive.isLeft) return;
    const body = await db<BodyRow>('bodies').where('course', course.id).first('document', 'proof');
    const path = `courses/${slugOf(course.name)}-${course.id}`;
    await archive.text(`${path}.json`, body!.document);
    if (body!.proof !== null) await archive.text(`${path}.run.json`, body!.proof);
    const versions = await db<VersionRow>('versions')
      .where('course', course.id)
      .select('revision', 'saved', 'label');
    await archive.json(`${path}.versions.json`, versions);
    for (const { revision } of versions) {
      if (archive.isLeft) return;
      const one = { course: course.id, revision };
      const row = await db<VersionRow>('versions').where(one).first('document');
      // Thinned out in the meantime.
      if (!row) continue;
      await archive.deflated(
        `${path}.versions/${revision}.json`,
        await unpacked(row.document),
        row.document,
      );
    }
  }
}

/** Assemblies, series, recordings and published editions. */
async function sendMade(db: Knex, maker: string, archive: SentArchive): Promise<void> {
  for (const kit of await db<KitRow>('kits').where({ maker }).select('id', 'name', 'document')) {
    await archive.text(`kits/${slugOf(kit.name)}-${kit.id}.json`, kit.document);
  }
  for (const { id, name, words } of await db<SeriesRow>('series').where({ maker })) {
    const courses = await db('series_courses').where({ series: id }).orderBy('place').pluck('slug');
    await archive.json(`series/${id}.json`, { name, words, courses });
  }
  const published = db<ListingRow>('listings').where({ maker_id: maker });
  await archive.json(
    'published.json',
    await published.clone().select('slug', 'name', 'edition', 'published'),
  );
  for (const slug of await published.clone().pluck('slug')) {
    const editions = db<EditionRow>('editions').where({ slug }).whereNotNull('document');
    for (const { edition, document } of await editions.select('edition', 'document')) {
      if (archive.isLeft) return;
      await archive.deflated(
        `editions/${slug}-${edition}.json`,
        await unpacked(document!),
        document!,
      );
    }
  }
  for (const { file } of await db<KeepRow>('keeps').where({ maker }).select('file')) {
    if (archive.isLeft) return;
    const { data } = (await db<RecordingRow>('recordings').where({ file }).first('data'))!;
    await archive.asItIs(`recordings/${file}`, data);
  }
}

/** Likes, follows, notes, reports, attempts and runs. */
async function sendDone(db: Knex, maker: string, archive: SentArchive): Promise<void> {
  const likes = db<LikeRow>('likes').where({ maker });
  await archive.json('likes.json', await likes.select('slug', 'made'));
  const follows = db('follows').join('makers', 'makers.id', 'follows.maker');
  await archive.json('follows.json', await follows.where('follower', maker).pluck('makers.name'));
  const notes = db<NoteRow>('notes').where({ maker });
  await archive.json('notes.json', await notes.select('slug', 'words', 'made'));
  const reports = db<ReportRow>('reports').where({ maker });
  await archive.json('reports.json', await reports.select('slug', 'words', 'made'));
  const attempts = db<AttemptRow>('attempts').where({ maker });
  await archive.json('attempts.json', await attempts.select('slug', 'given', 'time', 'strokes'));
  for (const run of await db<RunRow>('runs').where({ maker })) {
    if (archive.isLeft) return;
    const { slug, player, time, strokes, made } = run;
    await archive.json(`runs/${slugOf(slug)}-${run.id}.json`, {
      ...{ slug, player, time, strokes, made },
      run: JSON.parse(run.run),
    });
  }
}
