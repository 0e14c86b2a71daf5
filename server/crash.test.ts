import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { TestServer } from '../e2e/support/server';

// Starting it five times over takes its time where several tests run at once.
jest.setTimeout(120_000);

test('after a kill at any moment every acknowledged save is there', async () => {
  const server = new TestServer();
  await server.start();
  const course = layPieces(emptyCourse('Storm'), [{ family: 'start', at: [0, 0, 0] }]);
  const ask = async (method: string, at: string, cookie: string, body?: object) => {
    const headers = { 'Content-Type': 'application/json', Cookie: cookie };
    return fetch(`${server.url}/api${at}`, {
      method,
      headers,
      body: body ? JSON.stringify(body) : undefined,
    });
  };
  const made = await ask('POST', '/courses', '', { course });
  const cookie = made.headers.getSetCookie()[0].split(';')[0];
  const { id } = (await made.json()) as { id: string };

  let acknowledged = 1;
  for (let round = 0; round < 4; round++) {
    const before = acknowledged;
    let killing: Promise<void> | null = null;
    for (let going = true; going;) {
      try {
        const name = `Storm ${acknowledged + 1}`;
        const answer = await ask('PUT', `/courses/${id}`, cookie, {
          revision: acknowledged,
          course: { ...course, name },
        });
        if (answer.status === 200) acknowledged++;
        else going = false;
        // However slow the machine is, some saves were answered before the end comes.
        if (acknowledged >= before + 2) {
          killing ??= new Promise((resolve) => setTimeout(resolve, 7 + 13 * round)).then(() =>
            server.kill(),
          );
        }
      } catch {
        // Before its end is under way it is only a line left over from the server before it.
        going = killing === null;
      }
    }
    await killing;
    await server.start({ STONEHOP_WRITES: '100000' });
    const kept = (await (await ask('GET', `/courses/${id}`, cookie)).json()) as {
      revision: number;
      course: { name: string };
    };
    // The last one may have been written without the answer getting through.
    expect(kept.revision - acknowledged).toBeGreaterThanOrEqual(0);
    expect(kept.revision - acknowledged).toBeLessThanOrEqual(1);
    expect(kept.course.name).toBe(`Storm${kept.revision === 1 ? '' : ` ${kept.revision}`}`);
    acknowledged = kept.revision;
  }
  expect(acknowledged).toBeGreaterThan(4);
  await server.remove();
});
