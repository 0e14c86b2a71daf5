import type { APIRequestContext } from '@playwright/test';
import type { Course } from '@/core/course';
import { buildWorld, courseHash, initialState, Recorder, tick, type Run } from '@/core/run';

/** A run to the right until the goal. */
function runRight(on: Course): Run {
  const world = buildWorld(on);
  const state = initialState(world);
  const recorder = new Recorder();
  while (state.finish < 0 && state.tick < 1200) {
    recorder.add({ x: 16, z: 0, jump: false });
    tick(world, state, { x: 16, z: 0, jump: false }, () => {});
  }
  return recorder.run(courseHash(on), state.finish);
}

/** Publishes a course as its maker would, and can publish a changed one over it. */
export async function publish(request: APIRequestContext, url: string, course: Course) {
  const made = await request.post(`${url}/api/courses`, { data: { course } });
  const { id } = (await made.json()) as { id: string };
  const prove = (on: Course) =>
    request.post(`${url}/api/courses/${id}/proof`, { data: { run: runRight(on) } });
  const send = async () =>
    (await (await request.post(`${url}/api/courses/${id}/publish`)).json()) as { slug: string };
  await prove(course);
  const { slug } = await send();
  const change = async () => {
    const pieces = course.pieces.map((p) =>
      p.family === 'lantern' ? { ...p, at: [3, 0, 0] as [number, number, number] } : p,
    );
    const changed = { ...course, pieces };
    await request.put(`${url}/api/courses/${id}`, { data: { revision: 1, course: changed } });
    await prove(changed);
    await send();
  };
  /** Somebody runs it and sends that in under a name. */
  const played = async (player: APIRequestContext, name: string) => {
    const begun = await player.post(`${url}/api/published/${slug}/attempts`);
    const { attempt, seed } = (await begun.json()) as { attempt: string; seed: number };
    const run = { ...runRight(course), seed };
    await player.post(`${url}/api/published/${slug}/runs`, {
      data: { run, attempt, player: name },
    });
  };
  return { slug, id, change, played };
}
