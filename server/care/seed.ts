import type { Knex } from 'knex';
import type { Course } from '@/core/course';
import { courseLength } from '@/core/route';
import { replay, type Run } from '@/core/run';
import { DEMO_COURSES, type DemoCourse } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { TICKS_PER_SECOND } from '@/core/motion';
import { normalRun } from '@/core/run';
import { inputsDigest } from '../base/digest';
import { looksOf, nameKey } from '../base/names';
import { inTenths, shownOf, summaryOf } from '../threads/intake';
import { publishAnew } from './publishAnew';
import type {
  BodyRow,
  CourseRow,
  EditionRow,
  ListingRow,
  MakerRow,
  PublishedRow,
  RunRow,
  SeriesCourseRow,
  SeriesRow,
} from '../db/rows';
import { DEMO_MAKER } from '../db/demoMaker';

/** Strokes of a recorded run, where the fewest win. */
const strokesOf = (course: Course, run: Run): number =>
  course.kind === 'strokes' ? replay(course, run).jumps : 0;

/** A maker of the demo; made where they are not there. */
async function demoMaker(trx: Knex.Transaction, name: string, now: number): Promise<string> {
  const id = `${DEMO_MAKER}${name.toLowerCase()}`;
  const keys = { name_key: nameKey(name), ...looksOf(name) };
  const row = { id, name, ...keys, passphrase: null, created: now };
  await trx<MakerRow>('makers').insert(row).onConflict('id').ignore();
  return id;
}

/** The recorded runs of a demo course but its maker's proof. */
async function layRuns(trx: Knex.Transaction, course: Course, slug: string, now: number) {
  const [, ...runs] = DEMO_RUNS[slug];
  for (const { player, run: driven } of runs) {
    // Its last beat may go on after the goal.
    const run = normalRun(driven, Math.ceil(driven.claim * TICKS_PER_SECOND));
    await trx<RunRow>('runs').insert({
      ...{ slug, hash: run.course, player, player_key: nameKey(player), attempt: null },
      maker: await demoMaker(trx, player, now),
      time: run.claim,
      open: 1,
      strokes: strokesOf(course, run),
      run: JSON.stringify(run),
      inputs: inputsDigest(run),
      made: now,
    });
  }
}

/** The rows of a demo course: the course, its body, its published copy and its listing. */
function rowsOf({ slug, maker, course }: DemoCourse, now: number) {
  const [proof, ...runs] = DEMO_RUNS[slug];
  const document = JSON.stringify(course);
  const { measured: _, ...told } = summaryOf(course, document);
  const summary = { ...told, length: inTenths(courseLength(course)) };
  const { hash, shown, length } = summary;
  const strokes = strokesOf(course, proof.run);
  return {
    course: {
      ...{ ...summary, proof_hash: hash, proof_time: proof.run.claim, proof_strokes: strokes },
      changed: now,
    },
    body: { document, picture: null, proof: JSON.stringify(proof.run) },
    published: { hash, shown, length, picture: null, document: shownOf(course), published: now },
    listing: {
      ...{ hash, length, published: now, maker, description: course.description ?? '' },
      ...{ name: course.name, kind: course.kind, runner: course.runner.kind },
      ...{ time: proof.run.claim, strokes },
      // Each of the demo's runs was one try that arrived.
      ...{ tries: runs.length, finishes: runs.length },
    },
  };
}

/** Lays the demo courses into an empty database: made, proved, published and run. */
export async function seedDemo(db: Knex): Promise<void> {
  if (await db('makers').first()) return;
  const now = Date.now();
  await db.transaction(async (trx) => {
    for (const demo of DEMO_COURSES) {
      const { slug, course } = demo;
      const maker = await demoMaker(trx, demo.maker, now);
      const rows = rowsOf(demo, now);
      const own = { id: slug, maker, revision: 1, created: now, deleted: null };
      await trx<CourseRow>('courses').insert({ ...rows.course, ...own, folder: null, tags: '[]' });
      await trx<BodyRow>('bodies').insert({ course: slug, ...rows.body });
      await trx<PublishedRow>('published').insert({ slug, course: slug, ...rows.published });
      await trx<ListingRow>('listings').insert({
        ...{ slug, course: slug, maker_id: maker },
        ...rows.listing,
      });
      const { hash, length, published } = rows.published;
      await trx<EditionRow>('editions').insert({
        ...{ slug, edition: 1, hash, length, published, changes: null, document: null, look: null },
      });
      await layRuns(trx, course, slug, now);
    }
    await trx<SeriesRow>('series').insert({
      ...{ id: 'lantern-week', name: 'Lantern Week' },
      maker: await demoMaker(trx, DEMO_COURSES[0].maker, now),
      words:
        'All the courses of the week on Hollin Skerry, from the steps at low tide to the net loft.',
      ...{ sitting: 0, changed: now, deleted: null },
    });
    await trx<SeriesCourseRow>('series_courses').insert(
      DEMO_COURSES.map(({ slug }, place) => ({ series: 'lantern-week', place, slug })),
    );
  });
}

/** Brings the demo courses that are there to what they are in this version, with its proofs and runs. */
export async function renewDemo(db: Knex, now = Date.now()): Promise<void> {
  for (const demo of DEMO_COURSES) {
    const { slug, course } = demo;
    await db.transaction(async (trx) => {
      const there = await trx<CourseRow>('courses')
        .where({ id: slug })
        .where('maker', 'like', `${DEMO_MAKER}%`)
        .first('id');
      const before = await trx<PublishedRow>('published').where({ slug }).first('document', 'hash');
      if (!there || !before) return;
      const rows = rowsOf(demo, now);
      await trx<CourseRow>('courses').where('id', slug).update(rows.course);
      await trx<BodyRow>('bodies').where('course', slug).update(rows.body);
      await trx<PublishedRow>('published').where({ slug }).update(rows.published);
      await publishAnew(trx, slug, { before, now: rows.published, listing: rows.listing });
      const players = trx('makers').where('id', 'like', `${DEMO_MAKER}%`).select('id');
      await trx('runs').where({ slug }).whereIn('maker', players).delete();
      await layRuns(trx, course, slug, now);
    });
  }
}
