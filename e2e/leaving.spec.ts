import type { PieceInHand } from '@/core/edit';
import { courseHash, Recorder } from '@/core/run';
import { Somebody } from '@/scripts/support/somebody';
import { rowOf, walkRight } from '@/scripts/support/built';
import { layPieces } from '@/core/edit';
import { TestServer } from './support/server';
import { expect, test } from './support/test';

test('a replay whose player has left ends, and the next one is heard', async () => {
  const server = new TestServer();
  // One thread for what is long, and none may wait: who asks while it is at work is turned away.
  await server.start({ STONEHOP_QUEUE: '0', STONEHOP_VERIFY_SECONDS: '60' });
  const course = rowOf(3);
  const crates = Array.from({ length: 100 }, (_, i): PieceInHand => ({
    family: 'crate',
    at: [(i % 10) * 1.1, Math.floor(i / 10) * 1.1, 8],
    loose: true,
  }));
  const heavy = layPieces(course, [
    ...crates,
    { family: 'slab', at: [5, -0.5, 8], size: [30, 0.5, 8] },
  ]);
  const [maker, other] = [new Somebody(server.port), new Somebody(server.port)];
  const { id } = await maker.json<{ id: string }>('POST', '/courses', { course: heavy });
  const { id: light } = await other.json<{ id: string }>('POST', '/courses', { course });
  const run = walkRight(course, 0, 0);
  const idle = (hash: string) => ({ ...new Recorder().run(hash, 1), inputs: [[200_000, 0, 0, 0]] });
  const prove = async (sent: object) =>
    (await other.ask('POST', `/courses/${light}/proof`, { run: sent })).status;
  const long = idle(courseHash(course));
  // Once the threads are there at all.
  await expect.poll(() => prove(run)).toBe(200);
  await expect.poll(() => prove(long)).toBe(422);
  const left = maker
    .ask('POST', `/courses/${id}/proof`, { run: idle(courseHash(heavy)) })
    .catch(() => 'left');
  await expect.poll(() => prove(long)).toBe(503);
  // What is short does not wait for it.
  expect(await prove(run)).toBe(200);
  maker.close();
  expect(await left).toBe('left');
  await expect.poll(() => prove(long)).toBe(422);
  await server.remove();
});
