import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import { Somebody } from './client';
import { runRight } from './courses';

/** A course that is published, and whose. */
export interface Out {
  readonly maker: Somebody;
  readonly id: string;
  readonly slug: string;
}

/** Publishes a course as its maker does: kept, proved, published. */
export async function publish(
  course: Course,
  maker: Somebody,
  prove: (on: Course) => Run = runRight,
): Promise<Out> {
  const { id } = (await maker.ask('POST', '/courses', { course })).body;
  await maker.ask('POST', `/courses/${id}/proof`, { run: prove(course) });
  const { slug } = (await maker.ask('POST', `/courses/${id}/publish`)).body;
  return { maker, id, slug };
}

/** Publishes what a published course has become. */
export async function publishAgain(
  { maker, id }: Out,
  course: Course,
  revision: number,
  prove: (on: Course) => Run = runRight,
): Promise<void> {
  await maker.ask('PUT', `/courses/${id}`, { revision, course });
  await maker.ask('POST', `/courses/${id}/proof`, { run: prove(course) });
  const { status } = await maker.ask('POST', `/courses/${id}/publish`);
  if (status !== 200) throw new Error(`Publishing was answered with ${status}.`);
}
