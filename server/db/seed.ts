import type { Knex } from 'knex';
import type { Course } from '@/core/course';
import { courseHash, replay, type Run } from '@/core/run';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';

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
      await trx('makers').insert({ id, name, created: now }).onConflict('id').ignore();
      return id;
    };
    for (const { slug, maker: name, course } of DEMO_COURSES) {
      const [proof, ...runs] = DEMO_RUNS[slug];
      const document = JSON.stringify(course);
      const hash = courseHash(course);
      await trx('courses').insert({
        id: slug,
        maker: await maker(name),
        revision: 1,
        document,
        hash,
        proof: JSON.stringify(proof.run),
        proof_hash: hash,
        proof_time: proof.run.claim,
        proof_strokes: strokesOf(course, proof.run),
        created: now,
        changed: now,
      });
      await trx('published').insert({ slug, course: slug, document, hash, published: now });
      const insert = async (player: string, run: Run) =>
        trx('runs').insert({
          slug,
          hash,
          maker: await maker(player),
          player,
          time: run.claim,
          strokes: strokesOf(course, run),
          run: JSON.stringify(run),
          made: now,
        });
      for (const { player, run } of runs) await insert(player, run);
    }
  });
}
