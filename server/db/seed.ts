import type { Knex } from 'knex';
import type { Course } from '@/core/course';
import { courseLength } from '@/core/route';
import { replay, type Run } from '@/core/run';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { TICKS_PER_SECOND } from '@/core/motion';
import { normalRun } from '@/core/run';
import { inputsDigest } from '../digest';
import { looksOf, nameKey } from '../names';
import { inTenths, shownOf, summaryOf } from '../threads/intake';
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
} from './rows';

/** How the ids of the demo's makers begin. */
export const DEMO_MAKER = 'demo-';

/** Strokes of a recorded run, where the fewest win. */
const strokesOf = (course: Course, run: Run): number =>
  course.kind === 'strokes' ? replay(course, run).jumps : 0;

/** Lays the demo courses into an empty database: made, proved, published and run. */
export async function seedDemo(db: Knex): Promise<void> {
  if (await db('makers').first()) return;
  const now = Date.now();
  await db.transaction(async (trx) => {
    const maker = async (name: string) => {
      const id = `${DEMO_MAKER}${name.toLowerCase()}`;
      const keys = { name_key: nameKey(name), ...looksOf(name) };
      const row = { id, name, ...keys, passphrase: null, created: now };
      await trx<MakerRow>('makers').insert(row).onConflict('id').ignore();
      return id;
    };
    for (const { slug, maker: name, course } of DEMO_COURSES) {
      const [proof, ...runs] = DEMO_RUNS[slug];
      const document = JSON.stringify(course);
      const { measured: _, ...told } = summaryOf(course, document);
      const summary = { ...told, length: inTenths(courseLength(course)) };
      await trx<CourseRow>('courses').insert({
        ...summary,
        id: slug,
        maker: await maker(name),
        revision: 1,
        proof_hash: summary.hash,
        proof_time: proof.run.claim,
        proof_strokes: strokesOf(course, proof.run),
        created: now,
        changed: now,
        deleted: null,
        folder: null,
        tags: '[]',
      });
      await trx<BodyRow>('bodies').insert({
        ...{ course: slug, document, picture: null },
        proof: JSON.stringify(proof.run),
      });
      const { hash, shown, length } = summary;
      await trx<PublishedRow>('published').insert({
        ...{ slug, course: slug, hash, shown, length, picture: null },
        document: shownOf(course),
        published: now,
      });
      await trx<ListingRow>('listings').insert({
        ...{ slug, course: slug, hash, length, published: now },
        ...{ maker_id: await maker(name), maker: name, description: course.description ?? '' },
        ...{ name: course.name, kind: course.kind, runner: course.runner.kind },
        ...{ time: proof.run.claim, strokes: strokesOf(course, proof.run) },
        // Each of the demo's runs was one try that arrived.
        ...{ tries: runs.length, finishes: runs.length },
      });
      await trx<EditionRow>('editions').insert({
        ...{ slug, edition: 1, hash, length, published: now, changes: null, document: null },
      });
      for (const { player, run: driven } of runs) {
        // Its last beat may go on after the goal.
        const run = normalRun(driven, Math.ceil(driven.claim * TICKS_PER_SECOND));
        await trx<RunRow>('runs').insert({
          ...{ slug, hash, player, player_key: nameKey(player), attempt: null },
          maker: await maker(player),
          time: run.claim,
          open: 1,
          strokes: strokesOf(course, run),
          run: JSON.stringify(run),
          inputs: inputsDigest(run),
          made: now,
        });
      }
    }
    await trx<SeriesRow>('series').insert({
      ...{ id: 'lantern-week', name: 'Lantern Week', maker: await maker(DEMO_COURSES[0].maker) },
      words:
        'All the courses of the week on Hollin Skerry, from the steps at low tide to the net loft.',
      ...{ sitting: 0, changed: now, deleted: null },
    });
    await trx<SeriesCourseRow>('series_courses').insert(
      DEMO_COURSES.map(({ slug }, place) => ({ series: 'lantern-week', place, slug })),
    );
  });
}
