import type { PieceInHand } from '@/core/edit';
import { modelId, MOST_LOOSE, packMesh, type Course } from '@/core/course';
import { courseHash, Recorder, type Run } from '@/core/run';
import { Somebody, testServer } from './testing/client';
import { hopRight, runRight, walk } from './testing/courses';

/** A run of nothing, as sent by whom no honest run can be made for. */
const idle = (on: Course, ticks: number): Run => ({
  ...new Recorder().run(courseHash(on), 1),
  inputs: [[ticks, 0, 0, 0]],
});

let server: Awaited<ReturnType<typeof testServer>>;
const ask = async (course: Course, run: Run) => {
  const maker = new Somebody(server.running.port);
  const { id } = (await maker.ask('POST', '/courses', { course })).body;
  return maker.ask('POST', `/courses/${id}/proof`, { run });
};

describe('with time enough', () => {
  beforeAll(async () => {
    server = await testServer();
  });
  afterAll(() => server.remove());

  test('a course of more loose pieces than any run can bear is refused at once', async () => {
    const crates = Array.from({ length: MOST_LOOSE + 1 }, (_, i): PieceInHand => ({
      family: 'crate',
      at: [i * 2, 0, 8],
      loose: true,
    }));
    const heavy = walk(...crates);
    const from = Date.now();
    const { status, body } = await ask(heavy, idle(heavy, 200_000));
    expect([status, body.error.code]).toEqual([422, 'too-heavy']);
    expect(body.error.message).toContain(String(MOST_LOOSE));
    // Its run would have taken hours.
    expect(Date.now() - from).toBeLessThan(20_000);
  });

  test('what cannot run at all is refused in words', async () => {
    const course = walk();
    const bare = { ...course, pieces: course.pieces.filter(({ family }) => family !== 'start') };
    const { status, body } = await ask(bare, idle(bare, 100));
    expect([status, body.error.code]).toEqual([422, 'not-runnable']);
  });

  test('a model of one course is not that of another: it stands under a digest of what it holds', async () => {
    const mesh = (size: number) =>
      packMesh([0, 0, 0, size, 0, 0, 0, size, 0, 0, 0, size], [0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]);
    const [small, large] = [mesh(1), mesh(0.01)];
    const wall = (models: Course['models']): Course => ({
      ...walk({
        family: 'model',
        at: [3, 0, 0],
        size: [1, 3, 2],
        params: { model: modelId(small) },
        collision: 'on',
      }),
      models,
    });
    const honest = wall({ [modelId(small)]: { name: 'Wall', ...small } });
    const forged = wall({ [modelId(small)]: { name: 'Wall', ...large } });
    const maker = new Somebody(server.running.port);
    const { id } = (await maker.ask('POST', '/courses', { course: honest })).body;
    const forger = new Somebody(server.running.port);
    const refused = await forger.ask('POST', '/courses', { course: forged });
    expect([refused.status, refused.body.error.message]).toEqual([
      400,
      expect.stringContaining('not its own'),
    ]);
    expect((await forger.ask('POST', '/courses', { course: wall(undefined) })).status).toBe(400);
    // The wall is in the way, before and after whatever others tried.
    const through = { ...runRight(walk()), course: courseHash(honest) };
    const proof = await maker.ask('POST', `/courses/${id}/proof`, { run: through });
    expect(proof.body.error.code).toBe('not-finished');
  });

  test('fewest strokes are ranked by strokes, then by time', async () => {
    const course: Course = { ...walk(), kind: 'strokes' };
    const maker = new Somebody(server.running.port);
    const { id } = (await maker.ask('POST', '/courses', { course })).body;
    const prove = (hops: number) =>
      maker.ask('POST', `/courses/${id}/proof`, { run: hopRight(course, hops) });
    expect((await prove(2)).body.best).toBe(true);
    // One hop fewer is better, however long it takes; one more never is.
    expect((await prove(1)).body.best).toBe(true);
    expect((await prove(2)).body.best).toBe(false);
    const { slug } = (await maker.ask('POST', `/courses/${id}/publish`)).body;
    const send = async (player: string, hops: number) => {
      const somebody = new Somebody(server.running.port);
      return (await somebody.play(slug, hopRight(course, hops), player)).body;
    };
    expect((await send('Orla', 2)).place).toBe(1);
    expect((await send('Fenn', 0)).place).toBe(1);
    const last = await send('Wick', 1);
    expect(last.place).toBe(2);
    expect(last.best.map(({ player }: { player: string }) => player)).toEqual([
      'Fenn',
      'Wick',
      'Orla',
    ]);
    expect(last.best[1].strokes).toBe(1);
  });
});

describe('with no time at all', () => {
  beforeAll(async () => {
    server = await testServer({ verifySeconds: 0 });
  });
  afterAll(() => server.remove());

  test('a run that takes longer to check than it may is refused, and the next one is heard', async () => {
    const course = walk();
    const first = await ask(course, idle(course, 5000));
    expect([first.status, first.body.error.code]).toEqual([422, 'too-heavy']);
    const next = await ask(course, idle(course, 10));
    expect(next.body.error.code).toBe('not-finished');
  });
});
